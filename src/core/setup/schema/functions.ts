import { z } from 'zod';
import { FUNCTIONS } from '../functions';

export const FunctionSchema = z.enum(FUNCTIONS);
