import { defineSlice, type Debt, type RecordLine, type Stamp } from '../kernel/index.ts';
import { causes, pointWord, type FuelCause, type StreamPoint } from './causes.ts';
import { judgeCause, judgeReach, type Evidence, type KeptSample, type StreamLook } from './judge.ts';
import { streamOf, type SeenFacts } from './seen.ts';

/** The newest look at one place. */
type Looked = StreamLook & Stamp & { wasDirty: FuelCause | 'dirty' | null };
/** A look with what its maker knew to have been dirty there. */
export type Look = StreamLook & Stamp & { knewDirty: FuelCause | 'dirty' | null };

/** What was found of bad fuel, and in whose hands it is. */
export interface EvidenceSlice extends Evidence {
  /** By place. */
  stream: Readonly<Partial<Record<StreamPoint, Looked>>>;
  /** Looks by place that no other’s maker knew: where two differ, it is dirty. */
  looks: Readonly<Partial<Record<StreamPoint, readonly Look[]>>>;
  /** Samples, oldest first. */
  kept: readonly (KeptSample & Stamp)[];
  /** What is suspected. */
  suspicion: ({ cause: FuelCause; who: string | null } & Stamp) | null;
}

/** Did anybody begin? @example evidenceBegun(state) // false */
export const evidenceBegun = ({ stream, kept, suspicion }: Evidence): boolean =>
  Object.keys(stream).length > 0 || kept.length > 0 || suspicion !== null;

const sampleName = ({ tag, of }: Pick<KeptSample, 'tag' | 'of'>): string =>
  `sample${tag === null ? '' : ` ${tag}`}, taken ${pointWord[of]}`;

/** What went past the filter is owed until lines and rail are clean. */
export const evidenceSlice = defineSlice<EvidenceSlice, EvidenceSlice & SeenFacts>({
  name: 'evidence',
  start: () => ({ stream: {}, looks: {}, kept: [], suspicion: null }),
  owes: ({ stream }): Debt[] => {
    if (!stream.filterOut || stream.filterOut.wasDirty === null) return [];
    return (['lines', 'rail'] as const)
      .filter((at) => stream[at]?.is !== 'clean')
      .map((at) => ({
        id: `stream:${at}`,
        key: 'stream',
        text: `it went past the filter: ${pointWord[at]} ${stream[at] ? 'it is dirty' : 'nobody looked'}`,
      }));
  },
  record: (state): RecordLine[] => {
    if (!evidenceBegun(state)) return [];
    const last = [...Object.values(state.stream), ...state.kept].at(-1) ?? state.suspicion;
    const stamp = { by: last?.by ?? null, at: last?.at ?? null };
    const reach = judgeReach(state.stream).reasons.map(({ text }): RecordLine => ({ under: 'fuel', text, ...stamp }));
    const suspected = state.suspicion
      ? [
          {
            under: 'fuel' as const,
            text: `suspected: ${causes[state.suspicion.cause].name}${state.suspicion.who ? `, by ${state.suspicion.who}` : ''}; ${judgeCause(
              { ...state, stream: streamOf(state) },
            )
              .reasons.map(({ text }) => text as string)
              .join('; ')}`,
            ...stamp,
          },
        ]
      : [];
    const samples = state.kept.map((sample): RecordLine => ({
      under: 'fuel',
      text: `${sampleName(sample)}${sample.sealed ? ', sealed and dated' : ', not sealed'}: ${sample.hands.map(({ who, whole }) => `${who}${whole ? '' : ' (seal broken)'}`).join(', then ')}${sample.lab ? `; ${sample.lab.lab}: ${sample.lab.is === 'sound' ? 'sound' : causes[sample.lab.is].name}` : ''}`,
      by: sample.by,
      at: sample.at,
    }));
    return [...reach, ...suspected, ...samples];
  },
});
