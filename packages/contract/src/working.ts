import { z } from 'zod';

/** A number with the arithmetic that made it. */

const num = z.number();

export const unit = z.enum(['mm', 'kg', 'deg', 'N', 'Nmm', 'N/mm', 'count', 'ratio']);
export const op = z.enum([
  '+',
  '-',
  '*',
  '/',
  'min',
  'max',
  'mean',
  'atan',
  'tan',
  'sin',
  'cos',
  'abs',
  'hypot',
  'sqrt',
  'pow',
  'round',
]);

export interface Working {
  label: string;
  value: number;
  unit: Unit;
  /** How the terms give the value; absent on a leaf. */
  op?: Op;
  terms?: Working[];
  /** The path in the job that a leaf was read from. */
  path?: string;
  /** A leaf that nobody measured: the product's default. */
  guess?: boolean;
}
export const working: z.ZodType<Working> = z.lazy(() =>
  z.strictObject({
    label: z.string(),
    value: num,
    unit,
    op: op.optional(),
    terms: z.array(working).optional(),
    path: z.string().optional(),
    guess: z.boolean().optional(),
  }),
);

export type Unit = z.infer<typeof unit>;
export type Op = z.infer<typeof op>;
