import { spawn } from 'node:child_process';
import { shareRecords } from './server';

/** Runs a command whose programs copy their records from one PostgreSQL, filled once: `shared.ts command argument …`. */
const [command = '', ...rest] = process.argv.slice(2);
const end = await shareRecords();
const child = spawn(command, rest, { stdio: 'inherit' });
child.on('exit', (code) => {
  end();
  process.exit(code ?? 1);
});
