const OTHER_SIDE: Readonly<Record<string, string>> = {
  port: 'starboard',
  starboard: 'port',
  left: 'right',
  right: 'left',
};

/** What a rig like another one may be called: the same on the other side of the boat, else a second one. */
export function twinName(name: string): string {
  let turned = false;
  const twin = name.replaceAll(/\b(port|starboard|left|right)\b/gi, (side) => {
    turned = true;
    const other = OTHER_SIDE[side.toLowerCase()] ?? side;
    return /^[A-Z]/.test(side) ? `${other.charAt(0).toUpperCase()}${other.slice(1)}` : other;
  });
  return (turned ? twin : `${name}, second`).slice(0, 80);
}
