/** A word of the trade or of this product, with its meaning in a line. */
export interface GlossaryEntry {
  readonly term: string;
  /** Other forms of it that stand for it in a sentence, small letters. */
  readonly also?: readonly string[];
  readonly meaning: string;
}

/** The words that pages use, each once, in the order of the alphabet. */
export const GLOSSARY: readonly GlossaryEntry[] = [
  { term: 'arbor', meaning: 'The bare core of the spool, where the first turn of line lies.' },
  { term: 'backing', meaning: 'The innermost line. It fills the spool, and only the longest run reaches it.' },
  {
    term: 'bound',
    also: ['95 of 100 hold', '95 of 100'],
    meaning: 'What 95 of 100 such pieces hold, on the safe side of few pulls. It says less than the mean.',
  },
  {
    term: 'breakaway',
    also: ['jerk'],
    meaning: 'The pull that starts a drag. It is higher than the pull that keeps it moving.',
  },
  { term: 'caliper', meaning: 'A sliding gauge that reads a thickness or a diameter to a tenth of a millimetre.' },
  { term: 'clicker', meaning: 'The ratchet that sounds when the spool turns. It is off while line goes on.' },
  {
    term: 'colour',
    also: ['colours'],
    meaning: 'A length of lead core in one colour, mostly ten yards. It serves as a ruler in the line.',
  },
  {
    term: 'conflict',
    meaning: 'A measurement that lies too far from what the others say. It is named, and left out until you decide.',
  },
  {
    term: 'count',
    also: ['counts'],
    meaning: 'One step of the counter. Often it stands for a foot or a metre, and is seldom exactly that.',
  },
  { term: 'counter', meaning: 'The dial that counts turns of the spool and shows them as a length.' },
  { term: 'creep', meaning: 'Line that slips out under a steady pull, without a fish.' },
  { term: 'default', meaning: 'A usual figure that stands in while nobody has measured. It is always named as one.' },
  { term: 'drag', meaning: 'The brake of the reel. It lets line go before anything breaks.' },
  {
    term: 'draw-down',
    also: ['drawn down', 'draw down'],
    meaning: 'Pulling a wet knot together slowly until nothing moves in it.',
  },
  { term: 'fill', meaning: 'How full the spool is. It decides how much line a turn takes.' },
  { term: 'flange', also: ['flanges'], meaning: 'The wall at either end of the spool.' },
  { term: 'fold', meaning: 'A part of a page that is closed until you open it. It stays as you left it.' },
  { term: 'free spool', meaning: 'The spool turns with no brake. Keep a thumb on it.' },
  { term: 'gauge length', meaning: 'The length of line between the grips of a pull test.' },
  {
    term: 'guides',
    also: ['guide'],
    meaning: 'The rings or rollers on the rod. They add friction, so the pull at the tip is more than at the reel.',
  },
  { term: 'hang', also: ['hangs'], meaning: 'The line that hangs from the tip when the counter is set to zero.' },
  { term: 'in gear', meaning: 'The lever is forward and the drag holds. Never turn the preset then.' },
  { term: 'join', also: ['joins'], meaning: 'A knot, splice or loop where two lines meet.' },
  {
    term: 'lap',
    also: ['laps'],
    meaning: 'One full round of the counter, from 000 through 999. After it the same reading comes again.',
  },
  {
    term: 'lead core',
    meaning: 'A woven sheath with a lead wire in it. The sheath holds the fish, the lead sinks the line.',
  },
  { term: 'leader', meaning: 'The last line before the hook. It takes the wear, and fish see it least.' },
  { term: 'level', meaning: 'How far the line lies under the rim of the spool. Read it at three places.' },
  { term: 'lever', meaning: 'The handle of a lever drag. Its place sets the brake between free and full.' },
  { term: 'line class', also: ['class'], meaning: 'A strength that a line must not hold more than, for a record.' },
  { term: 'long-loop twist', meaning: 'Many twists that double the line for its last metres.' },
  { term: 'lot', also: ['lots'], meaning: 'One batch of a line. Two lots of one label differ by some per cent.' },
  { term: 'mean', meaning: 'The average of the pulls. Half of all pieces hold less.' },
  {
    term: 'moving pull',
    meaning: 'What the scale shows while line comes off slowly. It is what counts, not the jerk.',
  },
  { term: 'packing', meaning: 'How tightly line lies on the spool: line against the room that it takes.' },
  {
    term: 'plaited join',
    also: ['plaited braid to leader'],
    meaning: 'Braid crossed over and under a stiff leader many times, then locked with hitches.',
  },
  { term: 'planer', meaning: 'A board that dives and pulls the bait down. It pulls hard and steadily.' },
  { term: 'port', meaning: 'The left side of the boat, looking forward. Starboard is the right.' },
  { term: 'preset', meaning: 'The knob that sets the range of a lever drag. Turn it in free spool only.' },
  { term: 'reach', meaning: 'How much line may be out. What lies deeper on the spool does not set the drag.' },
  { term: 'reading', also: ['readings'], meaning: 'What the counter shows.' },
  { term: 'retail spool', meaning: 'A spool as the shop sells it, with a stated length.' },
  { term: 'rig', meaning: 'A rod, its reel and all lines on it.' },
  { term: 'rim', meaning: 'The outer edge of the spool. Line above it rubs the frame.' },
  { term: 'running line', meaning: 'The line between backing and the weighted part.' },
  { term: 'school', also: ['schools'], meaning: 'One way to tie a join, with its own turns and lengths.' },
  {
    term: 'seating pull',
    also: ['seated', 'seating'],
    meaning: 'A hard, slow pull that sets a join before the ends are trimmed.',
  },
  { term: 'segment', also: ['segments'], meaning: 'One length of one line in the stack on a reel.' },
  { term: 'setback', meaning: 'How far the lure swims behind the rod tip, along the water.' },
  { term: 'sheath', meaning: 'The woven tube around lead core. Alone it carries the load.' },
  { term: 'sinking weight', meaning: 'What a metre of line weighs under water.' },
  {
    term: 'splice',
    also: ['splices'],
    meaning: 'Hollow braid run back inside itself. It grips the harder, the harder you pull.',
  },
  { term: 'stale', meaning: 'Something that it rests on has changed since. Do it again.' },
  { term: 'star', meaning: 'The star-shaped wheel that sets the brake on many reels.' },
  { term: 'strip', also: ['stripped'], meaning: 'To take line off the spool, from the outer end.' },
  { term: 'surge', meaning: 'A sudden jerk of a fish. The spool must start to turn, and that takes force.' },
  { term: 'tag', meaning: 'The short end that is left after a knot is trimmed.' },
  {
    term: 'tape test',
    also: ['walk'],
    meaning: 'Walking the line out along a tape, to see what the counter shows at a known length.',
  },
  {
    term: 'through the water',
    meaning: 'Speed against the water itself. Over the ground the current is added or taken off.',
  },
  { term: 'tip', meaning: 'The last ring of the rod. Lengths out are counted from the hook to it.' },
  { term: 'top shot', meaning: 'The outer line that does most of the work, and is renewed most often.' },
  {
    term: 'touch',
    also: ['touch bottom', 'touched bottom'],
    meaning: 'The lure taps the bottom, so its depth is known for a moment.',
  },
  { term: 'weakest place', meaning: 'The line or join that breaks first. Drag is set from it.' },
  {
    term: 'wind-on leader',
    also: ['ready leader', 'ready leaders'],
    meaning: 'A leader with a loop of its own that goes through the guides onto the reel.',
  },
  { term: 'winding', meaning: 'Putting line on the reel, segment after segment.' },
  { term: 'worn', meaning: 'Rubbed or stretched, so that it holds less than it did.' },
  {
    term: '±',
    also: ['plus or minus'],
    meaning: 'How far off a figure may be: 95 times in 100 the truth lies within it.',
  },
];

const FORMS: ReadonlyMap<string, GlossaryEntry> = new Map(
  GLOSSARY.flatMap((entry) => [entry.term, ...(entry.also ?? [])].map((form) => [form.toLowerCase(), entry] as const)),
);

/** The meaning of a word or a few, in any of its forms, or null: one word that is not known alone may be part of a known term. */
export function meaningOf(words: string): GlossaryEntry | null {
  const asked = words.trim().toLowerCase().replaceAll(/\s+/g, ' ');
  return FORMS.get(asked) ?? FORMS.get(asked.replace(/s$/, '')) ?? FORMS.get(asked.replace(/[.,:;!?]$/, '')) ?? null;
}
