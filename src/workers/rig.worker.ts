import { expose } from 'comlink';
import { createRig } from './rig';

expose(createRig());
