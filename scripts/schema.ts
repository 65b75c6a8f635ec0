// Writes the published JSON Schema beside its page; a test keeps the two equal.
import { writeFileSync } from 'node:fs';
import { setupJsonSchema } from '../src/core/setup';

writeFileSync('docs/setup.schema.json', JSON.stringify(setupJsonSchema(), null, 2) + '\n');
