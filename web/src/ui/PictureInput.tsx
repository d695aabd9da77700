/** The hidden camera or file input of a label, which asks for one picture; the same one may be chosen again. */
export function PictureInput({ label, take }: { label?: string; take: (file: File) => void }) {
  return (
    <input
      type="file"
      accept="image/*"
      capture="environment"
      className="sr-only"
      aria-label={label}
      onChange={(event) => {
        const file = event.target.files?.[0];
        if (file) take(file);
        event.target.value = '';
      }}
    />
  );
}
