import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { jsonSchemas } from '../src/jsonSchemas';

const docs = fileURLToPath(new URL('../../../docs/schemas/', import.meta.url));
mkdirSync(docs, { recursive: true });
for (const [name, schema] of Object.entries(jsonSchemas()))
  writeFileSync(`${docs}${name}`, `${JSON.stringify(schema, null, 2)}\n`);
