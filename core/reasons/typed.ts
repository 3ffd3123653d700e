/** Why something typed cannot be read as a quantity. */
export const TYPED_REASONS = {
  'nothing-typed': {},
  'not-a-quantity': { typed: 'name', unit: 'name' },
  'not-a-number': { typed: 'name' },
  'unknown-unit': { typed: 'name', units: 'names' },
  'too-small': {},
  'too-large': {},
} as const;
