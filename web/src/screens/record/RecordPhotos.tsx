import type { PhotoLine } from '@iron-cradle/core';
import { useEffect, useState } from 'react';
import { photoUrl } from '../../log/photos.ts';

/** The photos of a record, each under its letter, which stands on the chord of what it shows. */
export function RecordPhotos({ jobId, photos }: { jobId: string; photos: readonly PhotoLine[] }) {
  if (photos.length === 0) return null;
  return (
    <section className="pt-5 text-16">
      <h2 className="pb-1 text-20">Photos</h2>
      <ul className="grid grid-cols-2 gap-3 mid:grid-cols-3">
        {photos.map((photo) => (
          <li key={`${photo.letter}${photo.file}`} className="break-inside-avoid">
            <Print jobId={jobId} photo={photo} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Print({ jobId, photo: { file, letter, caption } }: { jobId: string; photo: PhotoLine }) {
  const [url, setUrl] = useState<string | null>(null);
  const [gone, setGone] = useState(false);
  useEffect(() => {
    let left = false;
    let mine: string | null = null;
    void photoUrl(jobId, file).then((found) => {
      mine = found;
      if (left) URL.revokeObjectURL(found);
      else setUrl(found);
    });
    return () => {
      left = true;
      if (mine?.startsWith('blob:')) URL.revokeObjectURL(mine);
    };
  }, [jobId, file]);
  return (
    <figure>
      {url && !gone ? (
        <img src={url} alt={caption} className="block w-full border border-edge" onError={() => setGone(true)} />
      ) : (
        <span className="grid h-28 place-items-center border border-rule text-quiet">
          {gone ? 'not here yet' : 'opening…'}
        </span>
      )}
      <figcaption>
        <span className="reading font-semibold">{letter}</span> {caption}
      </figcaption>
    </figure>
  );
}
