import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

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
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
