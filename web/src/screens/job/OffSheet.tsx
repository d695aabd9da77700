import { backInWords, inOrderOfReturn, openItems, type LedgerItem } from '@iron-cradle/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMainUnit } from '../../app/units.ts';
import { useJob } from '../../log/useJob.ts';
import { Tag } from '../../look/Tag.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { PutIn } from './PutIn.tsx';
import { ReadCode } from './ReadCode.tsx';
import { TagSheet } from './TagSheet.tsx';

/** The ledger on a phone: what is off, in the order of going back. */
export function OffSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, jobId } = useJob();
  const [tag, setTag] = useState<string | null>(null);
  const items = inOrderOfReturn(openItems(state));
  return (
    <>
      <Sheet
        open={open && tag === null}
        onClose={onClose}
        title={`${items.length} to go back`}
        hint="In the order of going back."
      >
        <ol className="ruled">
          {items.map((item) => (
            <Row key={item.key} item={item} onTap={() => setTag(item.key)} />
          ))}
          {items.length === 0 && <li className="py-3 text-quiet">Nothing is off.</li>}
        </ol>
        <div className="grid gap-3 pt-3 min-[430px]:grid-cols-2">
          <ReadCode onTag={setTag} />
          <Link to={`/jobs/${jobId}/labels`} className="btn">
            Print tags and labels
          </Link>
        </div>
        <PutIn />
      </Sheet>
      <TagSheet item={tag} onClose={() => setTag(null)} />
    </>
  );
}

function Row({ item, onTap }: { item: LedgerItem; onTap: () => void }) {
  const units = useMainUnit();
  return (
    <li>
      <button type="button" className="flex min-h-14 w-full items-center gap-3 py-1 text-left" onClick={onTap}>
        <Tag number={item.tag} />
        <span className="narrow flex-1 text-20">{item.name}</span>
        <span className="text-quiet">{item.state === 'deferred' ? `put off` : backInWords(item.back, units)}</span>
      </button>
    </li>
  );
}
