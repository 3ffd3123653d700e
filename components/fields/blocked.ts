/**
 * True where one of these fields cannot be read: nothing is to be saved then. Each says what is wrong at its place; the first one
 * takes the focus.
 */
export function blocked(...fields: readonly { readonly readable: boolean }[]): boolean {
  if (fields.every((field) => field.readable)) return false;
  document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  return true;
}
