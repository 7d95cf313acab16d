import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { giveUp } from './run.mjs';

/**
 * One start at a time in a checkout: a second one would stop the first one's database.
 *
 * @param file holds the number of the process that runs; one that was killed leaves it, and does not count
 */
export function onlyOne(file) {
  mkdirSync(dirname(file), { recursive: true });
  for (let tries = 0; tries < 2; tries++) {
    try {
      writeFileSync(file, String(process.pid), { flag: 'wx' });
      process.on('exit', () => rmSync(file, { force: true }));
      return;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const pid = Number(readFileSync(file, 'utf8'));
      if (runsHere(pid))
        giveUp(`Field Nurse runs already in this folder (process ${pid}). Stop that one first, with Ctrl-C where it was started.`);
      rmSync(file, { force: true });
    }
  }
}

/** Whether a process is one of ours: numbers are given out again. */
function runsHere(pid) {
  const commandLine = `/proc/${pid}/cmdline`;
  return pid > 0 && existsSync(commandLine) && readFileSync(commandLine, 'utf8').includes('start.mjs');
}
