import type { DemoBoat, DemoRig } from './demoTypes';

const counterReel40 = (name: string, windHand: 'left' | 'right' = 'right'): DemoRig['reel'] => ({
  name,
  kind: 'conventional',
  arborMm: 31.4,
  widthMm: 28.6,
  fullMm: 61.8,
  counter: { unitM: 1, lengthPerTurnM: 0.174 },
  windHand,
  dragKind: 'star',
  dragLimitKg: 9,
  ratings: [
    { label: '0.40 mm, 300 m', lineMm: 0.4, lengthM: 300 },
    { label: '0.35 mm, 380 m', lineMm: 0.35, lengthM: 380 },
  ],
});

const fiveColours = ['red', 'green', 'yellow', 'blue', 'white'];

/** A cold fjord, invented: a fixed spread in which every bait must run at its own depth. */
export const ormundSound: DemoBoat = {
  name: 'Halyard Lark',
  homeWater: 'Ormund Sound',
  people: [
    { name: 'Winder on the port bench', hand: 'right' },
    { name: 'Helm of the early watch', hand: 'left' },
  ],
  walkM: 40,
  lines: [
    { key: 'nylon40', name: 'Nylon 0.40 clear, bulk spool', material: 'nylon', diameterMm: 0.4, measured: true, labelKg: 8.2, truth: { diameterFactor: 1.012, packing: 0.665, strengthKg: 11.7, cv: 0.035 }, pulls: 5 },
    { key: 'nylon35', name: 'Nylon 0.35 smoke, 150 m spool', material: 'nylon', diameterMm: 0.35, measured: true, labelKg: 6.4, truth: { diameterFactor: 0.99, packing: 0.69, strengthKg: 9.3, cv: 0.04 }, pulls: 6 },
    { key: 'braid20', name: 'Braid 0.20 moss green', material: 'braid', diameterMm: 0.2, measured: true, labelKg: 13.5, truth: { diameterFactor: 1.04, packing: 0.63, strengthKg: 14.9, cv: 0.05 }, pulls: 5 },
    { key: 'copper', name: 'Soft copper wire 0.72', material: 'copper wire', diameterMm: 0.72, measured: true, labelKg: 15, truth: { diameterFactor: 1.005, packing: 0.615, strengthKg: 15.8, cv: 0.02 }, pulls: 4 },
    { key: 'lead', name: 'Lead core 0.86, five of ten colours', material: 'lead core', diameterMm: 0.86, measured: true, labelKg: 8, truth: { diameterFactor: 1.02, packing: 0.64, strengthKg: 9.9, cv: 0.05 }, pulls: 4 },
    { key: 'fluoro38', name: 'Fluorocarbon 0.38 leader', material: 'fluorocarbon', diameterMm: 0.38, measured: true, labelKg: 7, truth: { diameterFactor: 1.0, packing: 0.67, strengthKg: 8.4, cv: 0.035 }, pulls: 5 },
    { key: 'nylon45', name: 'Nylon 0.45 grey, bench stock', material: 'nylon', diameterMm: 0.45, measured: true, labelKg: 10.5, truth: { diameterFactor: 1.018, packing: 0.67, strengthKg: 14.6, cv: 0.04 }, pulls: 0 },
    { key: 'lead76', name: 'Lead core 0.76, thin sheath', material: 'lead core', diameterMm: 0.76, measured: true, labelKg: 6.8, truth: { diameterFactor: 0.985, packing: 0.625, strengthKg: 8.1, cv: 0.05 }, pulls: 0 },
    { key: 'nylon33', name: 'Nylon 0.33 clear, top shot', material: 'nylon', diameterMm: 0.33, measured: true, labelKg: 5.9, truth: { diameterFactor: 1.01, packing: 0.68, strengthKg: 8.5, cv: 0.035 }, pulls: 0 },
    { key: 'braid10', name: 'Braid 0.10 white, eight strands', material: 'braid', diameterMm: 0.1, measured: false, labelKg: 6.2, truth: { diameterFactor: 1.18, packing: 0.66, strengthKg: 6.9, cv: 0.06 }, pulls: 3 },
  ],
  supplies: [
    { line: 'nylon40', label: 'Bulk nylon, shelf 1', boughtM: 2400, leftM: 1310 },
    { line: 'nylon45', label: 'Grey nylon, shelf 1', boughtM: 1000, leftM: 1000 },
    { line: 'lead76', label: 'Thin lead core, drawer', boughtM: 91.44, leftM: 91.44 },
    { line: 'nylon33', label: 'Top shot nylon, drawer', boughtM: 300, leftM: 300 },
  ],
  rigs: [
    {
      name: 'Spare lead-core rod, on the bench',
      note: 'Planned for the inner port slot. Nothing is on the spool yet.',
      reel: counterReel40('Counter reel 40, spare'),
      truth: { arbor: 1.008, full: 0.997, constant: 1.055, breakawayRatio: 1.12, seed: 4101 },
      segments: [
        { name: 'Backing', role: 'backing', line: 'nylon45', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Lead core, three colours', role: 'weighted line', line: 'lead76', lengthM: 27.432, known: true, colours: ['orange', 'black', 'green'], join: 'sheath-over-mono' },
        { name: 'Top shot', role: 'top shot', line: 'nylon33', lengthM: 60, join: 'sheath-over-mono' },
      ],
      done: { wound: false },
    },
    {
      name: 'Copper rod, port',
      note: 'Runs at its slot depth only with the whole copper out.',
      reel: counterReel40('Counter reel 40, port'),
      truth: { arbor: 0.995, full: 1.002, constant: 1.03, breakawayRatio: 1.15, seed: 4203 },
      segments: [
        { name: 'Backing', role: 'backing', line: 'nylon40', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Braid', role: 'running line', line: 'braid20', lengthM: 85, known: true, join: 'double-sliding-knot' },
        { name: 'Copper wire', role: 'weighted line', line: 'copper', lengthM: 45, known: true, join: 'small-swivel' },
        { name: 'Top shot', role: 'top shot', line: 'nylon35', lengthM: 22, known: true, join: 'small-swivel' },
      ],
      done: { wound: true, levelBelowRimMm: 2, calibrate: 'card', drag: 0.25, pullTested: true },
    },
    {
      name: 'Copper rod, starboard twin',
      note: 'Same reel model as the port rod. Its counter does not agree with its twin.',
      reel: counterReel40('Counter reel 40, starboard', 'left'),
      truth: { arbor: 1.004, full: 0.999, constant: 0.93, breakawayRatio: 1.1, seed: 4307 },
      segments: [
        { name: 'Backing', role: 'backing', line: 'nylon40', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Braid', role: 'running line', line: 'braid20', lengthM: 85, known: true, join: 'double-sliding-knot' },
        { name: 'Copper wire', role: 'weighted line', line: 'copper', lengthM: 45, known: true, join: 'small-swivel' },
        { name: 'Top shot', role: 'top shot', line: 'nylon35', lengthM: 22, known: true, join: 'small-swivel' },
      ],
      done: { wound: true, levelBelowRimMm: 2, calibrate: 'card', drag: 0.25, pullTested: true },
    },
    {
      name: 'Five-colour rod, second from port',
      note: 'Lost part of its top shot on a wreck since the counter was tested.',
      reel: counterReel40('Counter reel 40, second from port'),
      truth: { arbor: 1.0, full: 1.003, constant: 1.01, breakawayRatio: 1.14, seed: 4409 },
      segments: [
        { name: 'Backing', role: 'backing', line: 'nylon40', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Lower braid', role: 'running line', line: 'braid20', lengthM: 60, known: true, join: 'double-sliding-knot' },
        { name: 'Lead core, five colours', role: 'weighted line', line: 'lead', lengthM: 45.72, known: true, colours: fiveColours, join: 'double-sliding-knot' },
        { name: 'Upper braid', role: 'top shot', line: 'braid20', lengthM: 38, known: true, join: 'double-sliding-knot' },
        { name: 'Leader', role: 'leader', line: 'fluoro38', lengthM: 5, known: true, byHand: true, join: 'plaited-braid-to-leader' },
      ],
      done: { wound: true, levelBelowRimMm: 2, calibrate: 'card', drag: 0.2, lostM: 14, pullTested: true },
    },
    {
      name: 'Plain nylon rod, stern',
      note: 'Rewound by hand in a hurry; the line stands above the rim.',
      reel: { ...counterReel40('Counter reel 30, stern'), arborMm: 27.2, widthMm: 25.4, fullMm: 54.6, counter: { unitM: 1, lengthPerTurnM: 0.152 }, dragLimitKg: 7 },
      truth: { arbor: 1.003, full: 1.0, constant: 0.985, breakawayRatio: 1.18, seed: 4513 },
      segments: [{ name: 'Nylon', role: 'running line', line: 'nylon40', lengthM: null, join: 'arbor-sliding-knot' }],
      done: { wound: true, levelBelowRimMm: -0.9, log: ['Rewound by hand after a snag. The level now stands above the rim and rubs the frame.'] },
    },
    {
      name: 'Light fixed-spool rod',
      note: 'No counter: wound by turns and by level.',
      reel: { name: 'Fixed-spool reel 25', kind: 'fixed-spool', arborMm: 33, widthMm: 17.5, fullMm: 46.2, counter: null, dragKind: 'front knob', dragLimitKg: 5, ratings: [{ label: '0.25 mm, 180 m', lineMm: 0.25, lengthM: 180 }] },
      truth: { arbor: 1, full: 1, constant: 1, breakawayRatio: 1.1, seed: 4619 },
      segments: [
        { name: 'Underlay', role: 'backing', line: 'nylon35', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Braid', role: 'running line', line: 'braid10', lengthM: 140, known: true, join: 'double-sliding-knot' },
        { name: 'Leader', role: 'leader', line: 'fluoro38', lengthM: 1.5, known: true, byHand: true, join: 'plaited-braid-to-leader' },
      ],
      done: { wound: true, levelBelowRimMm: 1.5 },
    },
  ],
};
