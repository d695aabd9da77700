import { shortName } from '@iron-cradle/core';
import { Camera } from 'lucide-react';
import { useEffect, useState } from 'react';
import { keepPhoto, photoUrl } from '../../log/photos.ts';
import { useJob } from '../../log/useJob.ts';
import { PictureInput } from '../../ui/PictureInput.tsx';

/** Takes or chooses a photo and binds it to a line, a strap, whatever has a key. */
export function PhotoButton({ about, name, words = false }: { about: string; name: string; words?: boolean }) {
  const { jobId, enter, state } = useJob();
  const [problem, setProblem] = useState<string | null>(null);
  if (state.signed) return null;
  const take = async (file: File) => {
    try {
      setProblem(null);
      await enter('photo', { ...(await keepPhoto(jobId, file)), key: about });
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <span className={words ? 'grid' : 'contents'}>
      <label
        className={`btn cursor-pointer focus-within:outline-2 ${words ? '' : 'min-h-14 w-14 shrink-0 px-0'}`}
        data-photo={about}
      >
        <Camera size={22} aria-hidden />
        {words ? 'Photo' : <span className="sr-only">photo of the {shortName(name)}</span>}
        <PictureInput take={(file) => void take(file)} />
      </label>
      {problem && (
        <span role="alert" className="font-semibold text-halt">
          {problem}
        </span>
      )}
    </span>
  );
}

/** The photos bound to a thing, newest first. */
export function Photos({ about, most = 6 }: { about: string; most?: number }) {
  const { jobId, state } = useJob();
  const list = state.photos
    .filter((photo) => photo.key === about)
    .reverse()
    .slice(0, most);
  if (list.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-3 py-2" aria-label="photos">
      {list.map((photo) => (
        <li key={photo.id}>
          <Photo jobId={jobId} id={photo.file} at={photo.at} />
        </li>
      ))}
    </ul>
  );
}

function Photo({ jobId, id, at }: { jobId: string; id: string; at: string }) {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let mine: string | null = null;
    let gone = false;
    void photoUrl(jobId, id).then((found) => {
      mine = found;
      if (gone) URL.revokeObjectURL(found);
      else setUrl(found);
    });
    return () => {
      gone = true;
      if (mine?.startsWith('blob:')) URL.revokeObjectURL(mine);
    };
  }, [jobId, id]);
  const when = new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (!url) return <span className="block size-28 border border-rule" />;
  return (
    <a href={url} target="_blank" rel="noreferrer" className="block border border-edge">
      <img src={url} alt={`what was there at ${when}`} className="block h-28 w-auto max-w-56 object-cover" />
    </a>
  );
}
