/** After the screen changed under a finger, touches are not meant for what stands there now, ms. */
export const AFTER_CHANGE = 400;
/** A second touch sooner than this is water or a bounce, ms. */
export const BOUNCE = 80;

/** Decides which touches count on wet glass; only touches, never a mouse or a key. */
export class WetGlass {
  private changedAt = -Infinity;
  private touchedAt = -Infinity;

  changed(now: number): void {
    this.changedAt = now;
  }

  /** Is this touch meant? */
  counts(now: number): boolean {
    const meant = now - this.changedAt >= AFTER_CHANGE && now - this.touchedAt >= BOUNCE;
    this.touchedAt = now;
    return meant;
  }
}

const glass = new WetGlass();

/** The screen shows another stop or station from now on. */
export const screenChanged = (): void => glass.changed(performance.now());

/** Watches every touch of the page. A click comes when the finger leaves, so the action fires on release. */
export function startWetGlass(): void {
  document.addEventListener(
    'click',
    (event) => {
      if (!(event instanceof PointerEvent) || event.pointerType !== 'touch') return;
      if (glass.counts(performance.now())) return;
      event.preventDefault();
      event.stopPropagation();
    },
    { capture: true },
  );
}
