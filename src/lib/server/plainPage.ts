/** Text as it stands in HTML. */
export const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

const STYLE =
  'body{font:18px/1.5 Overpass,sans-serif;max-width:34rem;margin:12vh auto;padding:0 1.2rem;background:#e9edea;color:#18282b}button{font:inherit;padding:.8rem 1.4rem;background:#18282b;color:#f7f8f5;border:0}dt{color:#435454}dd{margin:0 0 .6rem}a{color:#07566a}';

/** A page that needs neither the record nor a script. */
export function plainPage(status: number, title: string, sentence: string, more = ''): Response {
  const html = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Zaprud</title><style>${STYLE}</style><main><h1>${escape(title)}</h1><p role="alert">${escape(sentence)}</p>${more}</main></html>`;
  return new Response(html, { status, headers: { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' } });
}

/** What was typed, kept in a form of its own, to be sent again; for a page without script while the record is away. */
export function sendAgainPage(sentence: string, action: string, typed: FormData): Response {
  const fields = [...typed.entries()].filter((pair): pair is [string, string] => typeof pair[1] === 'string');
  const hidden = fields.map(([name, value]) => `<input type="hidden" name="${escape(name)}" value="${escape(value)}">`).join('');
  const shown = fields
    .filter(([name, value]) => value !== '' && !/^(id|entry|stay|.*\.id)$/.test(name) && !/^[0-9a-f-]{36}$/.test(value))
    .map(([name, value]) => `<dt>${escape(name)}</dt><dd>${escape(value)}</dd>`)
    .join('');
  return plainPage(
    503,
    'Not saved yet',
    sentence,
    `<form method="post" action="${escape(action)}">${hidden}<button>Send again</button></form><h2>What you typed</h2><dl>${shown}</dl>`,
  );
}
