import { Dialog } from 'radix-ui';
import { useContext, useState, type ReactNode } from 'react';
import { JobContextOf } from '../log/useJob.ts';

interface SheetProps {
  open: boolean;
  onClose: () => void;
  title: string;
  hint?: string;
  children: ReactNode;
}

/** A sheet laid over the screen: from the foot on a phone, in the middle on wide screens. */
export function Sheet({ open, onClose, title, hint, children }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          {...(hint ? {} : { 'aria-describedby': undefined })}
          className="fixed inset-x-0 bottom-0 z-50 max-h-[92dvh] overflow-y-auto border-t-4 border-ink bg-sheet p-4 text-ink mid:inset-x-auto mid:bottom-auto mid:left-1/2 mid:top-1/2 mid:w-[min(44rem,94vw)] mid:-translate-x-1/2 mid:-translate-y-1/2 mid:border-4 mid:p-6"
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <div>
              <Dialog.Title className="text-24">{title}</Dialog.Title>
              {hint && <Dialog.Description className="text-quiet">{hint}</Dialog.Description>}
            </div>
            <Dialog.Close className="btn min-w-[88px] shrink-0">Close</Dialog.Close>
          </div>
          {children}
          <Refused />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** What the job refused since this sheet was opened: said where it was typed, since the sheet covers the screen’s own line. */
function Refused() {
  const problem = useContext(JobContextOf)?.problem ?? null;
  const [before] = useState(problem);
  if (problem === null || problem === before) return null;
  return (
    <p
      role="alert"
      className="sticky -bottom-4 -mx-4 -mb-4 mt-3 border-t-2 border-halt bg-sheet p-4 font-semibold text-halt mid:-bottom-6 mid:-mx-6 mid:-mb-6 mid:px-6"
    >
      {problem}
    </p>
  );
}
