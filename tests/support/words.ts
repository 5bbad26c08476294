import type { Page } from '@playwright/test';

interface Room {
  name: string;
  /** words it may show before anything is opened, at 1280 by 800 with the demo */
  most: number;
  open(page: Page, base: string): Promise<unknown>;
}

const by =
  (path: string, link?: RegExp) =>
  async (page: Page, base: string): Promise<void> => {
    await page.goto(base + path);
    if (link) await page.goto(base + ((await page.getByRole('link', { name: link }).first().getAttribute('href')) ?? ''));
    await page.waitForSelector('html[data-script]');
  };

/** The rooms whose words are counted. */
export const ROOMS: Room[] = [
  { name: 'the rounds', most: 450, open: by('/morning') },
  { name: 'a water', most: 450, open: by('/waters', /Header Pond/) },
  { name: 'the plan', most: 700, open: by('/waters/plan?minutes=40&traps=8') },
  { name: 'a set at the bench', most: 400, open: by('/bench', /22 flume gap/) },
  { name: 'waters', most: 500, open: by('/waters') },
  { name: 'the book', most: 700, open: by('/book') },
];

/** Words that an eye meets on a page as it opens: text of drawings too, the chosen line of a list only, nothing folded away or for ears alone. */
export function visibleWords(page: Page): Promise<{ words: number; screens: number }> {
  // no function is named in here: the browser knows nothing of what the runner wraps around a name
  return page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const range = document.createRange();
    let all = '';
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement;
      if (!parent?.checkVisibility() || parent.closest('script, style, title, desc, option, .only-heard')) continue;
      range.selectNodeContents(walker.currentNode);
      const box = range.getBoundingClientRect();
      if (box.width > 1 && box.height > 1 && box.right > 0 && box.bottom + scrollY > 0) all += ` ${walker.currentNode.textContent ?? ''}`;
    }
    for (const list of document.querySelectorAll('select'))
      if (list.checkVisibility()) all += ` ${list.selectedOptions[0]?.textContent ?? ''}`;
    return {
      words: all.split(/\s+/).filter((w) => /[\p{L}\p{N}]/u.test(w)).length,
      screens: document.documentElement.scrollHeight / innerHeight,
    };
  });
}
