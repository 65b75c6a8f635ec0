// Builds the app where what it is built of changed, beside other work.
import { build } from './prepare.mjs';

build();
