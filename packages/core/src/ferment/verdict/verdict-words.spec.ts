import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { judgeFermentation } from './judge-fermentation.js';

const on = (day: number): string => new Date(Date.UTC(2026, 9, 1, 10) + day * 86_400_000).toISOString();

describe('the evidence of a verdict', () => {
  it('names the trap of sealing what is steady only because it is cold', () => {
    const list = [
      [5, 1.045],
      [24, 1.026],
      [36, 1.026],
    ] as const;
    const { status, evidence } = judgeFermentation({
      readings: list.map(([day, sg]) => ({ id: `r${day}`, at: on(day), sg, tempC: 6 })),
      liquid: liquidFromReadings({ volumeL: 20, sg: 1.055 }),
      yeast: yeastById('crisp-cider'),
      temps: [{ at: on(0), tempC: 6 }],
      today: on(36),
      entries: [{ at: on(0), kind: 'pitched' }],
    }).value;
    expect(status).toBe('too-cold');
    expect(evidence.find((e) => e.speaks === 'against')?.text).toMatch(/wakes when the bottles warm, and bursts them/);
  });
});
