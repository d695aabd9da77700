import type { Variant, VehicleFile } from '@iron-cradle/core';
import { FileText } from './FileText.tsx';
import { freshId } from './fresh.ts';
import { PickMany } from '../../ui/PickMany.tsx';
import type { Draft } from './useDraft.ts';

/** What differs between vehicles of this model, decided by one look in the call. */
export function VariantsForm({ draft }: { draft: Draft }) {
  const { file, change } = draft;
  const variants = file.variants ?? [];
  const set = (i: number, work: (variant: Variant) => void) => change((f) => work(f.variants![i]!));
  return (
    <div className="grid gap-5">
      <p className="text-quiet">
        The same model differs between years. One look decides, asked in the call; what this one does not have is left
        out.
      </p>
      {variants.map((variant, i) => (
        <fieldset key={variant.id} className="grid gap-3 border-l-4 border-rule pl-3">
          <FileText
            draft={draft}
            at={`variants[${i}].look`}
            label="The look, as a question"
            value={variant.look}
            put={(f, text) => (f.variants![i]!.look = text)}
          />
          {variant.choices.map((choice, k) => (
            <div key={k} className="grid gap-2">
              <FileText
                draft={draft}
                at={`variants[${i}].choices[${k}].label`}
                label={`Answer ${k + 1}`}
                value={choice.label}
                put={(f, text) => (f.variants![i]!.choices[k]!.label = text)}
              />
              <p className="text-quiet">then it does not have</p>
              <PickMany
                things={things(file)}
                picked={choice.without}
                onPick={(without) => set(i, (v) => void (v.choices[k]!.without = without))}
              />
            </div>
          ))}
          <div className="grid gap-3 mid:grid-cols-2">
            <button
              type="button"
              className="btn"
              disabled={variant.choices.length >= 6}
              onClick={() => set(i, (v) => void v.choices.push({ label: 'another', without: [] }))}
            >
              Another answer
            </button>
            <button type="button" className="btn" onClick={() => change((f) => void f.variants!.splice(i, 1))}>
              No such look
            </button>
          </div>
        </fieldset>
      ))}
      <button
        type="button"
        className="btn"
        disabled={variants.length >= 8}
        onClick={() =>
          change((f) => {
            f.variants = [
              ...(f.variants ?? []),
              {
                id: freshId(
                  'look',
                  (f.variants ?? []).map((v) => v.id),
                ),
                look: 'Which one is it?',
                choices: [
                  { label: 'this', without: [] },
                  { label: 'that', without: [] },
                ],
              },
            ];
          })
        }
      >
        Another look
      </button>
    </div>
  );
}

const things = (file: VehicleFile): { id: string; name: string }[] => [
  ...file.connections,
  ...file.connections.flatMap((c) => c.clips.map((k) => ({ id: k.id, name: k.name ?? `${c.name} clip` }))),
  ...file.obstructions,
  ...file.supports,
];
