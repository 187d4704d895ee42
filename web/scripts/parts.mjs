// Lists what the pages are made of, with versions and licences, in CycloneDX beside them.
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';

const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
const all = JSON.parse(
  execFileSync(npm, ['sbom', '--sbom-format', 'cyclonedx'], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
    maxBuffer: 50_000_000,
  }),
);

// Left to npm, what is needed both to build and to run would be left out as well.
const isShipped = ({ properties = [] }) =>
  !properties.some(({ name, value }) => name === 'cdx:npm:package:development' && value === 'true');

const components = all.components.filter(isShipped);
const shipped = new Set([all.metadata.component['bom-ref'], ...components.map((one) => one['bom-ref'])]);
const dependencies = all.dependencies
  .filter(({ ref }) => shipped.has(ref))
  .map((one) => ({ ...one, dependsOn: one.dependsOn.filter((ref) => shipped.has(ref)) }));

writeFileSync('target/dist/parts.cdx.json', JSON.stringify({ ...all, components, dependencies }, null, 1));
