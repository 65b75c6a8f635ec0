// One command from nothing to one's own workshop in the browser; it begins empty, and stays where it is.
import { ready } from './ready.mjs';

await ready();
