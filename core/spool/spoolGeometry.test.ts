import { spoolVolumeM3, woundAreaM2, woundDiameterM } from './spoolGeometry';

const SPOOL = { arborDiameterM: 0.03, widthM: 0.03 };

describe('wound area', () => {
  it('is δ² in a square lay and (√3/2)δ² in a hexagonal one', () => {
    expect(woundAreaM2(0.001, Math.PI / 4)).toBeCloseTo(1e-6, 18);
    expect(woundAreaM2(0.001, Math.PI / (2 * Math.sqrt(3)))).toBeCloseTo((Math.sqrt(3) / 2) * 1e-6, 18);
  });

  it('throws on figures that cannot be', () => {
    expect(() => woundAreaM2(0, 0.7)).toThrow(/woundAreaM2: lineDiameterM/);
    expect(() => woundAreaM2(0.001, NaN)).toThrow(/packing/);
  });
});

describe('wound diameter and volume', () => {
  it('are the arbor with nothing on, and each other’s inverse', () => {
    expect(woundDiameterM(SPOOL, 0)).toBe(0.03);
    for (const volumeM3 of [1e-6, 2e-5, 6e-5]) {
      expect(spoolVolumeM3(SPOOL, woundDiameterM(SPOOL, volumeM3))).toBeCloseTo(volumeM3, 15);
    }
  });

  it('hold a hand-worked example: 30 to 60 mm over 30 mm of width is 63.617 cm³', () => {
    // (π/4)(0.06² − 0.03²)·0.03 = 6.3617e-5 m³
    expect(spoolVolumeM3(SPOOL, 0.06) * 1e6).toBeCloseTo(63.617, 3);
  });

  it('throws below nothing', () => {
    expect(() => woundDiameterM(SPOOL, -1e-9)).toThrow(RangeError);
    expect(spoolVolumeM3(SPOOL, 0.02)).toBeLessThan(0);
    for (const bad of [
      { ...SPOOL, arborDiameterM: 0 },
      { ...SPOOL, widthM: NaN },
    ]) {
      expect(() => woundDiameterM(bad, 1e-6)).toThrow(/^woundDiameterM: /);
      expect(() => spoolVolumeM3(bad, 0.05)).toThrow(/^spoolVolumeM3: /);
    }
    expect(() => spoolVolumeM3(SPOOL, 0)).toThrow(/^spoolVolumeM3: diameterM/);
  });
});
