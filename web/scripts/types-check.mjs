// Fails when src/api/generated/schema.d.ts isn't what openapi.json gives.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'mardun-types-'));
const fresh = join(folder, 'schema.d.ts');
execFileSync('npx', ['openapi-typescript', 'openapi.json', '-o', fresh], { stdio: 'ignore' });
execFileSync('npx', ['prettier', '--config', '.prettierrc.json', '--write', fresh], { stdio: 'ignore' });
const current = readFileSync('src/api/generated/schema.d.ts', 'utf8') === readFileSync(fresh, 'utf8');
rmSync(folder, { recursive: true });
if (!current) {
  console.error('src/api/generated/schema.d.ts is stale: run "npm run types" in web/ and commit it.');
  process.exit(1);
}
