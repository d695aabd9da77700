/**
 * What stands of several entries about one thing: those that no other’s maker knew. One more that knew some of them takes their
 * place; whichever order they arrive in, the same are left.
 *
 * @param knew did the maker of the fresh one hold that entry?
 * @example own.holes = standing(own.holes, fresh, moment.knew)
 */
export const standing = <T extends { id: string }>(had: readonly T[], fresh: T, knew: (id: string) => boolean): T[] =>
  [...had.filter(({ id }) => !knew(id)), fresh].sort((a, b) => (a.id < b.id ? -1 : 1));
