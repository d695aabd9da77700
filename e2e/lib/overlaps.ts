import type { Page } from 'puppeteer-core';

/** What is less is the room above and below letters, px. */
const LEAST = { across: 2, down: 8 };

/**
 * Text over which a control lies that is not its own, each with that control; what scrolls away under a bar that stays is not meant.
 *
 * @example await overlaps(page) // ['Take it out: 3.5 h and more | Ahead']
 */
export const overlaps = (page: Page): Promise<string[]> =>
  page.evaluate(({ across, down }) => {
    type Box = Record<'left' | 'top' | 'right' | 'bottom', number>;
    const layerOf = (e: Element | null): Element | null =>
      e === null || ['fixed', 'sticky'].includes(getComputedStyle(e).position) ? e : layerOf(e.parentElement);
    /** As far as nothing around it cuts it off. */
    const cut = ({ left, top, right, bottom }: Box, e: Element | null): Box => {
      if (!e || e === document.body) return { left, top, right, bottom };
      const k = e.getBoundingClientRect();
      const whole = getComputedStyle(e).overflow === 'visible';
      return cut(
        whole
          ? { left, top, right, bottom }
          : {
              left: Math.max(left, k.left),
              top: Math.max(top, k.top),
              right: Math.min(right, k.right),
              bottom: Math.min(bottom, k.bottom),
            },
        e.parentElement,
      );
    };
    const shown = (e: Element) => e.checkVisibility({ visibilityProperty: true }) && !e.closest('.sr-only, svg');
    const controls = [...document.querySelectorAll<HTMLElement>('button, a, input, select, textarea')].filter(shown);
    const found = new Set<string>();
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const text = walker.currentNode;
      const of = text.parentElement!;
      if (!text.textContent?.trim() || !shown(of)) continue;
      const range = document.createRange();
      range.selectNodeContents(text);
      for (const line of range.getClientRects())
        for (const control of controls) {
          if (control.contains(of) || of.contains(control) || layerOf(of) !== layerOf(control)) continue;
          const [a, b] = [cut(line, of), cut(control.getBoundingClientRect(), control.parentElement)];
          const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
          const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
          if (wide > across && high > down)
            found.add(`${text.textContent.trim().slice(0, 60)} | ${control.innerText || control.tagName}`);
        }
    }
    return [...found];
  }, LEAST);
