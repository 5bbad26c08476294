import { cpSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';

/** Whatever of a build is text: the pages, the server, the worker of the device. */
const isText = (file: string): boolean => /\.(?:m?js|json|css|html)$/.test(file);

/**
 * The built program as its next version: the worker of the device, what tells the version, and the name of every file in which it stands are
 * others, so that a page of the version before asks for files that are gone.
 */
export function movedBuild(): { folder: string; version: string; remove: () => void } {
  const folder = mkdtempSync(join(tmpdir(), 'zaprud-moved-'));
  for (const own of ['build', 'serve.mjs', 'package.json']) cpSync(own, join(folder, own), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'));
  const files = readdirSync(join(folder, 'build'), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));
  // what is kept beside a file in fewer bytes would still be the old one
  for (const file of files.filter((own) => /\.(?:br|gz)$/.test(own))) rmSync(file);
  const texts = files.filter(isText).map((file) => ({ file, text: readFileSync(file, 'utf8') }));
  const { version: before } = JSON.parse(readFileSync('build/client/_app/version.json', 'utf8')) as { version: string };
  const version = `${before}1`;
  const hashed = texts
    .filter(({ file, text }) => file.includes('/immutable/') && text.includes(before))
    .map(({ file }) => basename(file, '.js'));
  for (const { file, text } of texts) {
    const anew = hashed.reduce((all, name) => all.replaceAll(name, `${name}1`), text.replaceAll(before, version));
    if (anew !== text) writeFileSync(file, anew);
    if (hashed.includes(basename(file, '.js'))) renameSync(file, file.replace(/\.js$/, '1.js'));
  }
  return { folder, version, remove: () => rmSync(folder, { recursive: true, force: true }) };
}
