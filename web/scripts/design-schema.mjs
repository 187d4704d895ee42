// Writes docs/design.schema.json, the JSON Schema of a design in a file, from openapi.json; with --check it fails where that is stale.
import { readFileSync, writeFileSync } from 'node:fs';

const FILE = '../docs/design.schema.json';
const schemas = JSON.parse(readFileSync('openapi.json', 'utf8')).components.schemas;
/** What names something of one workroom alone isn't in a file. */
const OWN = ['materialId', 'threadId', 'bobbinId', 'machine'];

const used = {};
const take = (name) => {
  if (used[name]) return;
  used[name] = JSON.parse(JSON.stringify(schemas[name]).replaceAll('#/components/schemas/', '#/$defs/'));
  for (const own of OWN) {
    delete used[name].properties?.[own];
    if (used[name].required) used[name].required = used[name].required.filter((one) => one !== own);
  }
  for (const [, inner] of JSON.stringify(used[name]).matchAll(/#\/\$defs\/(\w+)/g)) take(inner);
};
take('DesignFile');
take('DesignBook');

const schema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'design.schema.json',
  title: 'A design of Mardun in a file, or a book of them',
  description:
    'Lengths are texts with their unit, such as "7 1/2 in" or "19 cm", or formulas over the names of measurements. Format 1.',
  oneOf: [
    { $ref: '#/$defs/DesignFile', properties: { kind: { const: 'mardun design' }, format: { const: 1 } } },
    {
      $ref: '#/$defs/DesignBook',
      properties: { kind: { const: 'mardun design book' }, format: { const: 1 } },
    },
  ],
  $defs: Object.fromEntries(Object.entries(used).sort(([one], [other]) => one.localeCompare(other))),
};
const text = `${JSON.stringify(schema, null, 2)}\n`;
if (process.argv.includes('--check')) {
  if (readFileSync(FILE, 'utf8') !== text) {
    console.error('docs/design.schema.json is stale: run "npm run types" in web/ and commit it.');
    process.exit(1);
  }
} else {
  writeFileSync(FILE, text);
}
