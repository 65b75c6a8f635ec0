// Writes the page that says which field of the Setup stales which step; a test keeps the two equal.
import { writeFileSync } from 'node:fs';
import '../src/core/verify/prover';
import { dependencePage, dependences } from '../tests/kit/dependence';
import { evidenceSamples } from '../tests/kit/evidence-samples';

writeFileSync('docs/evidence.md', dependencePage(dependences(evidenceSamples())));
