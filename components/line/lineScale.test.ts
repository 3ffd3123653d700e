import { plannedRig, woundRig } from '../../tests/rigFixture';
import { rigView } from '../../core/rig/view/rigView';
import { buildLoadedLine } from '../../core/spool/loadedLine';
import { lineScale } from './lineScale';
import { Plane } from './plane';
import { bandsOfLine } from '@/core/rig/view/bandsOfLine';

const line = (lengths: readonly number[]) =>
  buildLoadedLine(
    { arborDiameterM: 0.03, widthM: 0.03 },
    lengths.map((lengthM, index) => ({
      id: `s${index}`,
      name: `s${index}`,
      lengthM,
      lineDiameterM: 0.0003,
      packing: 0.7,
      wound: true,
    })),
  );

describe('the one scale of ribbon and lenses', () => {
  it('is even along a line whose backing is not long', () => {
    const scale = lineScale(line([50, 60, 40]), 900);
    expect(scale.breakAtM).toBeNull();
    expect(scale.toPx(75)).toBeCloseTo(450, 9);
    expect(scale.toLengthM(scale.toPx(31))).toBeCloseTo(31, 9);
    expect(scale.pxPerM).toBeCloseTo(6, 9);
  });

  it('squeezes a long backing behind a marked break, and keeps what is fished to scale', () => {
    const scale = lineScale(line([400, 60, 40]), 1000);
    expect(scale.breakAtM).toBeCloseTo(135, 9);
    expect(scale.toPx(135)).toBeCloseTo(900, 9);
    expect(scale.toPx(500)).toBeCloseTo(1000, 9);
    expect(scale.toPx(50) / scale.toPx(100)).toBeCloseTo(0.5, 9);
    for (const lengthM of [10, 100, 135, 300, 499])
      expect(scale.toLengthM(scale.toPx(lengthM))).toBeCloseTo(lengthM, 6);
  });

  it('stays within its drawing', () => {
    const scale = lineScale(line([50, 60]), 500);
    expect(scale.toPx(-5)).toBe(0);
    expect(scale.toPx(1e6)).toBe(500);
    expect(scale.toLengthM(9999)).toBeCloseTo(110, 9);
  });
});

describe('a plane', () => {
  it('lies or stands, with the same drawing', () => {
    const lying = new Plane('lying', 10);
    const upright = new Plane('upright', 10);
    expect(lying.rect(0, 40, 5, 8)).toEqual({ x: 10, y: 5, width: 40, height: 8 });
    expect(upright.rect(0, 40, 5, 8)).toEqual({ x: 5, y: 10, width: 8, height: 40 });
    expect(upright.acrossLine(7, 1, 2)).toEqual({ x1: 1, y1: 17, x2: 2, y2: 17 });
    expect(upright.size(300, 90)).toEqual({ width: 90, height: 300 });
  });
});

describe('ribbon bands', () => {
  it('run from the hook, with lead core in its colours from the hook', () => {
    for (const rig of [plannedRig(), woundRig()]) {
      const view = rigView(rig);
      if (!view) throw new Error('the fixture has no view');
      const bands = bandsOfLine(view.record, view.current.line);
      expect(bands.map((band) => band.name)).toEqual(['Top shot', 'Lead core', 'Backing']);
      expect(bands[0]?.fromM).toBe(0);
      expect(bands[1]?.fromM).toBe(bands[0]?.toM);
      expect(bands[2]?.toM).toBeCloseTo(view.current.line.totalLengthM, 9);
      expect(bands[1]?.colours.map(({ colour }) => colour)).toEqual(['green', 'black', 'orange']);
    }
  });
});
