import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';

export const root = join(import.meta.dirname, '../..');

/** Run a command to its end, showing what it prints. @throws Error when it fails */
export function run(command, args, { env = {}, cwd = root, quiet = false } = {}) {
  const result = spawnSync(command, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: quiet ? ['ignore', 'ignore', 'inherit'] : 'inherit',
  });
  if (result.status !== 0) throw new Error(`${command} ${args.join(' ')} failed${result.error ? `: ${result.error.message}` : ''}`);
}

/** Run a command and show its output while collecting it. */
export function runAndCollect(command, args, { env = {}, cwd = root } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        output += chunk;
        process.stdout.write(chunk);
      });
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** A program of the project's own packages. */
export const bin = (name) => join(root, 'node_modules/.bin', name);
export const isRoot = () => process.getuid?.() === 0;
export const exists = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

/** Stop with one line that says what to do. */
export function giveUp(line) {
  console.error(line);
  process.exit(1);
}
