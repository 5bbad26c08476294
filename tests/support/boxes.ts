import type { Page } from '@playwright/test';

/** Every pair of words that lie over each other on a page, every one that leaves its drawing, and how far the page scrolls sideways. */
export const clashes = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    interface Word {
      text: string;
      box: DOMRect;
      owner: Element;
    }
    const found: string[] = [];
    const over = document.documentElement.scrollWidth - window.innerWidth;
    if (over > 0) found.push(`the page scrolls ${over} px sideways`);
    const floats = (element: Element | null): boolean => {
      for (let e = element; e; e = e.parentElement) if (['sticky', 'fixed'].includes(getComputedStyle(e).position)) return true;
      return false;
    };
    const words: Word[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const owner = node.parentElement;
      const text = node.textContent?.trim() ?? '';
      if (
        !owner ||
        text === '' ||
        owner.closest('.only-heard') ||
        ['SCRIPT', 'STYLE', 'OPTION', 'TITLE', 'DESC', 'NOSCRIPT'].includes(owner.tagName.toUpperCase())
      )
        continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const boxes = [...range.getClientRects()].filter((b) => b.width > 1.5 && b.height > 1.5);
      // what is folded away has boxes too
      if (boxes.length === 0 || !owner.checkVisibility({ visibilityProperty: true, opacityProperty: true }) || floats(owner)) continue;
      // a box that its scroller has moved out of sight lies over nothing
      const scroller = owner.closest('[data-scroller], .scroller, .overflow-x-auto')?.getBoundingClientRect();
      for (const box of boxes) if (!scroller || (box.left < scroller.right && box.right > scroller.left)) words.push({ text, box, owner });
      const svg = owner.closest('svg')?.getBoundingClientRect();
      const own = owner.getBoundingClientRect();
      if (svg && (own.left < svg.left - 1 || own.right > svg.right + 1 || own.top < svg.top - 1 || own.bottom > svg.bottom + 1))
        found.push(`“${text}” leaves its drawing`);
    }
    // letters do not fill the height of their line
    const inner = ({ box }: Word) =>
      ({ ...box.toJSON(), top: box.top + box.height * 0.22, bottom: box.bottom - box.height * 0.22 }) as DOMRect;
    const boxes = words.map(inner);
    words.forEach((word, i) => {
      const a = boxes[i] as DOMRect;
      for (let j = i + 1; j < words.length; j += 1) {
        const b = boxes[j] as DOMRect;
        const other = words[j] as Word;
        if (a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1 && word.owner !== other.owner)
          found.push(`“${word.text.slice(0, 40)}” lies over “${other.text.slice(0, 40)}”`);
      }
    });
    return [...new Set(found)];
  });
