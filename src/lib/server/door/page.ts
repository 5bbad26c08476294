import { escape, plainPage } from '../plainPage';

/** A field of a page that needs no script. */
export function field(label: string, name: string, attributes: Record<string, string>): string {
  const own = Object.entries(attributes).map(([key, value]) => ` ${key}="${escape(value)}"`);
  return `<p><label>${escape(label)}<br><input name="${name}"${own.join('')} required style="font:inherit;padding:.6rem;width:100%;box-sizing:border-box"></label></p>`;
}

/** A page before the door. What was typed, but no passphrase, stands in it again. */
export const doorPage = (status: number, title: string, sentence: string, more: string): Response =>
  plainPage(status, title, sentence, more);
