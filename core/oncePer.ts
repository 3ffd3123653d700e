/**
 * Keeps what was derived of an immutable value for as long as that value is there: many lenses ask for the same derivation
 * of one record, and it is the same every time.
 *
 * @param derive a pure function of its one argument
 */
export function oncePer<K extends object, V>(derive: (of: K) => V): (of: K) => V {
  const kept = new WeakMap<K, { readonly value: V }>();
  return (of) => {
    const known = kept.get(of);
    if (known) return known.value;
    const value = derive(of);
    kept.set(of, { value });
    return value;
  };
}
