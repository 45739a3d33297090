import AxeBuilder from '@axe-core/playwright';
import { expect } from './kitchen';
import type { Page } from '@playwright/test';

/** A phone, a desk at twice its size, a tablet lying, a desk. */
const WIDTHS = [390, 640, 1024, 1280];

/** Widths at which more is on the page than in the window. */
export async function tooWide(page: Page): Promise<string[]> {
  const found: string[] = [];
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 844 });
    const over = (): Promise<number> =>
      page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    // What is drawn again for a narrower window takes a moment.
    await expect
      .poll(over, { timeout: 5000 })
      .toBe(0)
      .catch(async () => found.push(`${width}: ${await over()} too wide`));
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  return found;
}

/**
 * What another language would clip: every text on the page is made 40 % longer, as German makes it, and what then sticks
 * out of a box that hides the rest is told, as is a page that grows wider than its window.
 */
export async function clippedWhenLonger(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const longer: Element[] = [];
    const ours = (node: Node): boolean =>
      /\p{L}{3}/u.test(node.nodeValue ?? '') &&
      node.parentElement?.closest('script, style, svg, option, textarea, .visually-hidden, [hidden]') ===
        null;
    const nodes: Node[] = [];
    while (texts.nextNode()) if (ours(texts.currentNode)) nodes.push(texts.currentNode);
    for (const node of nodes) {
      const text = (node.nodeValue ?? '').trim();
      node.nodeValue = `${node.nodeValue} ${text.slice(0, Math.ceil(text.length * 0.4))}`;
      if (node.parentElement) longer.push(node.parentElement);
    }
    const hides = (value: string): boolean => value === 'hidden' || value === 'clip';
    const cut = longer.flatMap((element) => {
      const range = document.createRange();
      range.selectNodeContents(element);
      const text = range.getBoundingClientRect();
      if (text.width === 0) return [];
      for (let box: Element | null = element; box && box !== document.body; box = box.parentElement) {
        const style = getComputedStyle(box);
        // What is there for readers of screens alone is a pixel large.
        const at = box.getBoundingClientRect();
        if (at.width <= 1 || at.height <= 1) return [];
        // An ellipsis says that there is more: names of the kitchen's own, as long as people make them. A map is moved.
        if (style.textOverflow === 'ellipsis' || style.webkitLineClamp !== 'none') return [];
        if (box.classList.contains('react-flow')) return [];
        if (
          (hides(style.overflowX) && text.right > at.right + 1) ||
          (hides(style.overflowY) && text.bottom > at.bottom + 1)
        )
          return [`clipped: ${element.textContent?.slice(0, 60)}`];
        if (!hides(style.overflowX) && style.overflowX !== 'visible') return [];
      }
      return [];
    });
    const over = document.documentElement.scrollWidth - document.documentElement.clientWidth;
    return [...new Set(cut), ...(over > 0 ? [`${over} too wide in a longer language`] : [])];
  });
}

/** What a reader of screens would trip over, by axe; once nothing moves any more. */
export async function axeFinds(page: Page): Promise<string[]> {
  // A page's title may be sent after what is first seen of it.
  await expect(page).toHaveTitle(/./);
  await page.evaluate(() =>
    Promise.all(document.getAnimations().map((a) => a.finished.catch(() => undefined))),
  );
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    // No page has frames, so the results need no second page to be put together in.
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], preload: false })
    .analyze();
  return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`);
}
