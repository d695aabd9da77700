import type { CutList } from '@iron-cradle/core';

interface CutDrawingProps {
  list: CutList;
  /** What each piece is for, by its length; the first that is not drawn yet is taken. */
  names: readonly { mm: number; name: string }[];
}

/** What is cut from which coil, to scale, coil under coil. */
export function CutDrawing({ list, names }: CutDrawingProps) {
  const longest = Math.max(1, ...list.cuts.map(({ coil }) => coil));
  const left = [...names];
  return (
    <div
      className="grid gap-3"
      role="img"
      aria-label={`${list.cuts.length} coils cut into, ${Math.round(list.waste)} mm left of them`}
    >
      {list.cuts.map((cut, i) => (
        <div key={i}>
          <p className="text-quiet">From {Math.round(cut.coil)} mm</p>
          <div className="flex h-8 border-2 border-ink" style={{ width: `${(cut.coil / longest) * 100}%` }}>
            {cut.pieces.map((mm, k) => {
              const at = left.findIndex((one) => one.mm === mm);
              const name = at >= 0 ? left.splice(at, 1)[0]!.name : '';
              return (
                <span
                  key={k}
                  className={`overflow-hidden whitespace-nowrap border-r-2 border-sheet px-2 text-16 leading-7 ${k % 2 === 0 ? 'bg-ink text-sheet' : 'bg-work text-sheet'}`}
                  style={{ width: `${(mm / cut.coil) * 100}%` }}
                >
                  {name} <span className="reading">{Math.round(mm)}</span>
                </span>
              );
            })}
            <span className="reading overflow-hidden whitespace-nowrap px-2 text-16 leading-7 text-quiet">
              {Math.round(cut.rest)} left
            </span>
          </div>
        </div>
      ))}
    </div>
  );
}
