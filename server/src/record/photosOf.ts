import { photoList, type JobRecord } from '@iron-cradle/core';

/** A picture as it is kept. */
export interface Picture {
  /** Its id. */
  id: string;
  /** What it is. */
  type: string;
  /** Itself. */
  bytes: Buffer;
}

/** A picture on paper. */
export interface Printed {
  /** Its letter, on the chord of what it shows and under itself. */
  letter: string;
  /** Ledger key; null: of nothing in particular. */
  key: string | null;
  /** What stands under it. */
  caption: string;
  /** As a data URL; null: not here, too large, or one too many. */
  url: string | null;
}

/** More than so many are named, not printed; with the largest that is printed, bytes. */
const MOST = { photos: 24, bytes: 6_000_000 };

/**
 * The pictures the log names, with letters; printed up to as many as a record bears.
 *
 * @example printedPhotos(record, pictures)[0] // { letter: 'a', key: 'line:feed', caption: 'a: 7 feed line, Ines Calder', url: 'data:…' }
 */
export function printedPhotos(record: JobRecord, pictures: readonly Picture[]): Printed[] {
  const by = new Map(pictures.map((one) => [one.id, one]));
  return photoList(record).map(({ letter, key, file, caption }, i) => {
    const picture = by.get(file);
    const fits = picture !== undefined && picture.bytes.length <= MOST.bytes && i < MOST.photos;
    return {
      letter,
      key,
      caption: `${letter}: ${caption}${fits ? '' : ', in the job file only'}`,
      url: fits ? `data:${picture.type};base64,${picture.bytes.toString('base64')}` : null,
    };
  });
}
