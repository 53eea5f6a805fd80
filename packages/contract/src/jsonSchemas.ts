import { z } from 'zod';
import { catalogue } from './catalogue';
import { job } from './job';
import { plan } from './plan';

/** The formats as JSON Schemas, by the name of their file; `npm run docs:schemas` writes them to docs/. */
export const jsonSchemas = (): Record<string, object> =>
  Object.fromEntries(
    Object.entries({ job, catalogue, plan }).map(([name, schema]) => [
      `${name}.schema.json`,
      z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }),
    ]),
  );
