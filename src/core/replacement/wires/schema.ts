import * as z from 'zod';
import { roles } from './terminals';

/** What a wire was proven to be. */
export const roleSchema = z.enum(['none', 'unknown', ...roles]);
