// Installs the front end's packages when they are missing or the lock file has changed since.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';

const mark = 'node_modules/.installed-lock';
const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');

if (!existsSync(mark) || readFileSync(mark, 'utf8') !== lock) {
  console.log("Installing the front end's packages …");
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--prefer-offline'], {
    stdio: 'inherit',
  });
  if (status !== 0) process.exit(status ?? 1);
  writeFileSync(mark, lock);
}
