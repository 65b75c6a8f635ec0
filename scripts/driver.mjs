// Makes the database driver ready, beside other work.
import { driver } from './prepare.mjs';

driver();
