import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** `npm run share`: lines of tests over lines of the code they test. `--hold` fails where it leaves the bounds that lint holds. */
const BOUNDS = [0.25, 0.36] as const;
const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { encoding: 'utf8' }).split('\n');
const code = files.filter((f) => /\.(ts|js|mjs|cjs|svelte|css|sql|sh)$/.test(f) || f === 'start' || f === 'test');
const lines = (f: string): number =>
  readFileSync(f, 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length;
const sum = (list: string[]): number => list.reduce((total, f) => total + lines(f), 0);
const [tests, tested] = [sum(code.filter((f) => f.startsWith('tests/'))), sum(code.filter((f) => !f.startsWith('tests/')))];
const share = tests / tested;
console.log(`Tests are ${share.toFixed(2)} of the code they test: ${tests} lines of tests, ${tested} of code (wanted: 0.30 to 0.36).`);
if (process.argv.includes('--hold') && (share < BOUNDS[0] || share > BOUNDS[1])) {
  console.error(`That is outside ${BOUNDS.join(' to ')}.`);
  process.exit(1);
}
