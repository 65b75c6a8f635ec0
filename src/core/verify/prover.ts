import { proveWith } from './proof';
import { prove } from './prove';

// Imported for this alone, by whatever works proofs out itself: workers, the server, the command line, tests.
proveWith(prove);
