import { readCode } from '@iron-cradle/core';
import { ScanQrCode } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useJob } from '../../log/useJob.ts';
import { PictureInput } from '../../ui/PictureInput.tsx';

/** Largest side that is read, px: a code on a tag is found in less, and a phone stays quick. */
const MOST = 1400;

/** A tag’s code, photographed, opens what the tag hangs on; one of another job goes there. */
export function ReadCode({ onTag, small = false }: { onTag: (key: string) => void; small?: boolean }) {
  const { state, jobId } = useJob();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const read = async (file: File) => {
    setProblem(null);
    const text = await textIn(file);
    const code = text === null ? null : readCode(text);
    if (!code) {
      setProblem(
        text === null
          ? 'No code was found in it: closer, flat, with more light.'
          : 'That code is none of a tag or a record of this shop.',
      );
      return;
    }
    if (!('tag' in code)) return void navigate(`/jobs/${code.job}/record`);
    if (code.job !== jobId) return void navigate(`/jobs/${code.job}/drop?tag=${code.tag}`);
    const item = state.items.find(({ tag }) => tag === code.tag);
    if (item) onTag(item.key);
    else setProblem(`Nothing of this job carries the number ${code.tag}.`);
  };
  return (
    <span className="grid">
      <label
        className={`btn cursor-pointer focus-within:outline-2 ${small ? 'w-14 px-0' : 'w-full'}`}
        data-action="read-code"
      >
        <ScanQrCode size={22} aria-hidden />
        <span className={small ? 'sr-only' : undefined}>Read a tag’s code</span>
        <PictureInput label="photo of a code" take={(file) => void read(file)} />
      </label>
      {problem && (
        <span role="alert" className="font-semibold text-halt">
          {problem}
        </span>
      )}
    </span>
  );
}

/** The text of a code in a picture; null: none is found. */
async function textIn(file: File): Promise<string | null> {
  const { default: jsqr } = await import('jsqr');
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  const scale = Math.min(1, MOST / Math.max(picture.width, picture.height));
  const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.drawImage(picture, 0, 0, width, height);
  return jsqr(context.getImageData(0, 0, width, height).data, width, height)?.data ?? null;
}
