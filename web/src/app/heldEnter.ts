/** An Enter that is held down presses what has the focus once, and submits a form once; in a text of several lines it goes on. */
export function startHeldEnter(): void {
  document.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Enter' || !event.repeat || event.target instanceof HTMLTextAreaElement) return;
      event.preventDefault();
      event.stopPropagation();
    },
    { capture: true },
  );
}
