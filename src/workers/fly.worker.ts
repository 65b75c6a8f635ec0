import { expose } from 'comlink';
import { createFlights } from './flights';

expose(createFlights());
