/** A form as it stands in a page: where it goes, and what it sends when nothing is touched. */
export interface PageForm {
  action: string;
  fields: [name: string, value: string][];
}

const attribute = (tag: string, name: string): string | undefined =>
  new RegExp(`\\s${name}="([^"]*)"`).exec(tag)?.[1]?.replaceAll('&amp;', '&');

/** The posted forms of a page, read without a browser. @param path of the page, for forms that go back to it */
export function formsOf(html: string, path: string): PageForm[] {
  const plain = path.split('?')[0] ?? path;
  return [...html.matchAll(/<form\b([^>]*)>(.*?)<\/form>/gs)].flatMap(([, head = '', body = '']) => {
    if (!/method="post"/i.test(head)) return [];
    const to = attribute(head, 'action') ?? path;
    const fields = [...body.matchAll(/<(?:input|select|textarea|button)\b[^>]*>/g)].flatMap(([tag]): [string, string][] => {
      const name = attribute(tag, 'name');
      return name && attribute(tag, 'type') !== 'file' ? [[name, attribute(tag, 'value') ?? '']] : [];
    });
    return [{ action: to.startsWith('?') ? plain + to : to, fields }];
  });
}

/** The ways inside the program that a page leads to. */
export const linksOf = (html: string): string[] =>
  [...html.matchAll(/<a\b[^>]*\shref="(\/[^"#]*)"/g)].map(([, href = '']) => href.replaceAll('&amp;', '&'));
