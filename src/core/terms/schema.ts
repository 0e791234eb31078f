import * as z from 'zod';
import { termsProfiles } from './profile';

/** A terms profile, at the borders. */
export const termsProfile = z.enum(termsProfiles);
