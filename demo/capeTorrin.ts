import type { DemoBoat } from './demoTypes';

/** A blue-water port, invented: tag and release of billfish in the 24, 37 and 60 kg classes. */
export const capeTorrin: DemoBoat = {
  name: 'Second Thought',
  homeWater: 'Cape Torrin',
  people: [
    { name: 'Mate, day crew', hand: 'right' },
    { name: 'Wire hand', hand: 'right' },
  ],
  walkM: 36.576,
  lines: [
    { key: 'hollow', name: 'Hollow braid 0.78, sixteen strands', material: 'hollow braid', diameterMm: 0.78, measured: true, labelKg: 59, truth: { diameterFactor: 1.03, packing: 0.66, strengthKg: 63.5, cv: 0.045 }, pulls: 5 },
    { key: 'hollowThin', name: 'Hollow braid 0.58, eight strands', material: 'hollow braid', diameterMm: 0.58, measured: true, labelKg: 36, truth: { diameterFactor: 1.05, packing: 0.65, strengthKg: 39.2, cv: 0.05 }, pulls: 5 },
    { key: 'class60', name: 'Class nylon 60, blue', material: 'nylon', diameterMm: 0.95, measured: true, labelKg: 60, truth: { diameterFactor: 1.0, packing: 0.68, strengthKg: 56.8, cv: 0.02 }, pulls: 5, condition: 'soaked' },
    { key: 'class37', name: 'Class nylon 37, spool A', material: 'nylon', diameterMm: 0.74, measured: true, labelKg: 37, truth: { diameterFactor: 1.0, packing: 0.685, strengthKg: 35.1, cv: 0.022 }, pulls: 6, condition: 'soaked' },
    { key: 'label30', name: 'Nylon 30, spool B', material: 'nylon', diameterMm: 0.74, measured: true, labelKg: 30, truth: { diameterFactor: 1.0, packing: 0.685, strengthKg: 35.1, cv: 0.022 }, pulls: 6, condition: 'soaked' },
    { key: 'class24', name: 'Class nylon 24, green', material: 'nylon', diameterMm: 0.62, measured: true, labelKg: 24, truth: { diameterFactor: 1.01, packing: 0.68, strengthKg: 25.9, cv: 0.02 }, pulls: 6, condition: 'soaked' },
    { key: 'windOn', name: 'Wind-on leader nylon 1.4', material: 'nylon', diameterMm: 1.4, measured: true, labelKg: 90, truth: { diameterFactor: 1.0, packing: 0.6, strengthKg: 97, cv: 0.03 }, pulls: 3 },
    { key: 'planerBraid', name: 'Braid 0.42, planer spool', material: 'braid', diameterMm: 0.42, measured: true, labelKg: 36, truth: { diameterFactor: 1.06, packing: 0.64, strengthKg: 38, cv: 0.05 }, pulls: 4 },
    { key: 'planerLeader', name: 'Planer leader nylon 0.9', material: 'nylon', diameterMm: 0.9, measured: true, labelKg: 45, truth: { diameterFactor: 1.0, packing: 0.68, strengthKg: 54, cv: 0.03 }, pulls: 3 },
    { key: 'flyBacking', name: 'Braided backing 0.40', material: 'braid', diameterMm: 0.4, measured: true, labelKg: 14, truth: { diameterFactor: 1.02, packing: 0.6, strengthKg: 15.6, cv: 0.05 }, pulls: 0 },
    { key: 'flyLine', name: 'Sinking fly line, heavy', material: 'fly line', diameterMm: 1.25, measured: false, labelKg: 13, truth: { diameterFactor: 1.0, packing: 0.6, strengthKg: 14.4, cv: 0.04 }, pulls: 0 },
  ],
  supplies: [
    { line: 'class37', label: 'Spool A, 600 m', boughtM: 600, leftM: 380 },
    { line: 'label30', label: 'Spool B, 600 m', boughtM: 600, leftM: 600 },
    { line: 'hollow', label: 'Hollow braid, drum', boughtM: 1500, leftM: 640 },
  ],
  rigs: [
    {
      name: 'Sixty, port rigger',
      note: 'The wind-on splice has never been pull-tested.',
      reel: { name: 'Two-speed reel 60, port', kind: 'conventional', arborMm: 46, widthMm: 63, fullMm: 108, counter: null, dragKind: 'lever', dragLimitKg: 25, ratings: [{ label: '0.95 mm, 420 m', lineMm: 0.95, lengthM: 420 }] },
      truth: { arbor: 1.0, full: 1.0, constant: 1, breakawayRatio: 1.08, seed: 5101 },
      segments: [
        { name: 'Hollow braid', role: 'backing', line: 'hollow', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Class top shot', role: 'top shot', line: 'class60', lengthM: 120, known: true, join: 'loop-splice' },
        { name: 'Wind-on leader', role: 'leader', line: 'windOn', lengthM: 7, known: true, join: 'loop-to-loop' },
      ],
      done: { wound: true, levelBelowRimMm: 3, drag: 0.25 },
    },
    {
      name: 'Thirty-seven, starboard rigger',
      note: 'The drag starts with a jerk.',
      reel: { name: 'Two-speed reel 40, starboard', kind: 'conventional', arborMm: 41, widthMm: 54, fullMm: 92, counter: null, dragKind: 'lever', dragLimitKg: 18, ratings: [{ label: '0.74 mm, 460 m', lineMm: 0.74, lengthM: 460 }] },
      truth: { arbor: 1.0, full: 1.0, constant: 1, breakawayRatio: 1.52, seed: 5203 },
      segments: [
        { name: 'Hollow braid', role: 'backing', line: 'hollowThin', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Class top shot', role: 'top shot', line: 'class37', lengthM: 150, known: true, join: 'loop-splice' },
        { name: 'Wind-on leader', role: 'leader', line: 'windOn', lengthM: 7, known: true, join: 'loop-to-loop' },
      ],
      done: { wound: true, levelBelowRimMm: 2.5, drag: 0.25, pullTested: true },
    },
    {
      name: 'Twenty-four, centre line',
      note: 'Class rod: this line must not test above its class.',
      reel: { name: 'Lever reel 24, centre', kind: 'conventional', arborMm: 38, widthMm: 47, fullMm: 80, counter: null, dragKind: 'lever', dragLimitKg: 12, ratings: [{ label: '0.62 mm, 430 m', lineMm: 0.62, lengthM: 430 }] },
      truth: { arbor: 1.0, full: 1.0, constant: 1, breakawayRatio: 1.1, seed: 5307 },
      segments: [
        { name: 'Hollow braid', role: 'backing', line: 'hollowThin', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Class nylon', role: 'top shot', line: 'class24', lengthM: 200, known: true, join: 'loop-splice' },
      ],
      done: { wound: true, levelBelowRimMm: 2.5, pullTested: true },
    },
    {
      name: 'Planer rod, bait',
      note: 'Counter in feet. The preset was turned in gear on the last trip.',
      reel: { name: 'Counter reel 50, bait', kind: 'conventional', arborMm: 36, widthMm: 38, fullMm: 72, counter: { unitM: 0.3048, lengthPerTurnM: 0.205 }, dragKind: 'lever', dragLimitKg: 14, ratings: [{ label: '0.42 mm, 410 m', lineMm: 0.42, lengthM: 410 }] },
      truth: { arbor: 1.004, full: 1.0, constant: 1.045, breakawayRatio: 1.14, seed: 5409 },
      segments: [
        { name: 'Braid', role: 'running line', line: 'planerBraid', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Planer leader', role: 'leader', line: 'planerLeader', lengthM: 33, known: true, byHand: true, join: 'small-swivel' },
      ],
      done: { wound: true, levelBelowRimMm: 2, calibrate: 'true', drag: 0.25, pullTested: true, log: ['Preset turned one turn in gear under load. To be undone in free spool before the next trip.'] },
    },
    {
      name: 'Sailfish fly reel',
      note: 'Backing to the mark, then the fly line; no counter.',
      reel: { name: 'Large-arbor fly reel 12', kind: 'fly', arborMm: 62, widthMm: 26, fullMm: 104, counter: null, windHand: 'left', dragKind: 'disc', dragLimitKg: 6, ratings: [{ label: 'fly line and 0.40 mm, 280 m', lineMm: 0.4, lengthM: 280 }] },
      truth: { arbor: 1.0, full: 1.0, constant: 1, breakawayRatio: 1.06, seed: 5513 },
      segments: [
        { name: 'Backing', role: 'backing', line: 'flyBacking', lengthM: null, join: 'arbor-sliding-knot' },
        { name: 'Fly line', role: 'fly line', line: 'flyLine', lengthM: 32, known: true, join: 'loop-to-loop' },
      ],
      done: { wound: false },
    },
  ],
};
