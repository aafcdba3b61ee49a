import { z } from 'zod';

export const idSchema = z.string().min(1).max(40);
export const nameSchema = z.string().trim().min(1).max(80);
