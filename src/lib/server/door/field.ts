import { escape } from '../plainPage';

/** A field of a page that needs no script. */
export function field(label: string, name: string, attributes: Record<string, string>): string {
  const own = Object.entries(attributes).map(([key, value]) => ` ${key}="${escape(value)}"`);
  return `<p><label>${escape(label)}<br><input name="${name}"${own.join('')} required style="font:inherit;padding:.6rem;width:100%;box-sizing:border-box"></label></p>`;
}
