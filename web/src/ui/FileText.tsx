import type { ReactNode } from 'react';

/** A text file of this device, read whole; the same file may be chosen again. */
export function FileText({
  accept,
  onText,
  children,
}: {
  accept: string;
  onText: (text: string) => void;
  children: ReactNode;
}) {
  return (
    <label className="btn focus-within:outline-3 focus-within:outline-ink">
      {children}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={({ target }) => {
          void target.files?.[0]?.text().then(onText);
          target.value = '';
        }}
      />
    </label>
  );
}
