import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { exists, giveUp, isRoot, root, run } from './run.mjs';

export const dataFolder = join(root, '.data');

/** Stop early on a Node that is too old. */
export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) giveUp(`Field Nurse needs Node 20.19 or newer, and this is ${process.versions.node}.`);
}

/** Install the npm packages when the lock file has changed since the last time. */
export function installPackages() {
  mkdirSync(dataFolder, { recursive: true });
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules/.field-nurse-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages …');
  // No package needs its install script: what is native comes prebuilt.
  run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel', 'error']);
  writeFileSync(stamp, lock);
}

/** Make sure that a Debian package is there, or say the one line that brings it. */
export function requireDebianPackage(name, isThere) {
  if (isThere()) return;
  const line = `apt-get update && apt-get install -y --no-install-recommends ${name}`;
  if (!isRoot() || !exists('apt-get')) giveUp(`${name} is missing. Run this once:  sudo sh -c '${line}'`);
  console.log(`Installing ${name} …`);
  run('sh', ['-c', line], { env: { DEBIAN_FRONTEND: 'noninteractive' }, quiet: true });
  if (!isThere()) giveUp(`${name} could not be installed. Run:  ${line}`);
}

export const requireChromium = () => requireDebianPackage('chromium', () => existsSync('/usr/bin/chromium'));
