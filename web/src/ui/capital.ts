/** With a capital letter. @example capital('lower') // 'Lower' */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
