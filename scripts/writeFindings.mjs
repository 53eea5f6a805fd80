import { writeFileSync } from 'node:fs';
import { findingsDoc } from './findingsDoc.mjs';

writeFileSync(new URL('../docs/findings.md', import.meta.url), findingsDoc());
