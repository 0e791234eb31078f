import { criticalLength_m, judgeCable, peakLimit, type MotorCable } from '.';

const cable = (differs: Partial<MotorCable> = {}) =>
  judgeCable({
    length_m: 60,
    winding: 'for-the-line',
    filter: 'none',
    supply_V: 400,
    motor: { volts: 400, power_kW: 7.5 },
    ...differs,
  });

it('the critical length is half of what a front runs while it rises', () => {
  expect(criticalLength_m(0.1)).toBe(7.5);
  expect(criticalLength_m(0.4)).toBe(30);
});

it('a long cable doubles the bus at the motor: an old winding does not stand it, one for drives does', () => {
  // 2 × 566 V.
  expect(cable()).toMatchObject({ peak_V: 1131, limit_V: 1000, verdict: 'too-much' });
  expect(cable({ winding: 'for-drives' })).toMatchObject({ limit_V: 1240, verdict: 'stands', wants: null });
  expect(peakLimit('for-drives', 690).limit_V).toBe(2139);
});

it('a short cable reflects in proportion', () => {
  expect(cable({ length_m: 3.75 }).peak_V).toBe(849);
  expect(cable({ length_m: 3.75 }).verdict).toBe('stands');
});

it('names the least filter that does, by the peak and by the length', () => {
  expect(cable().wants).toBe('du-dt');
  expect(cable({ filter: 'du-dt' })).toMatchObject({ peak_V: 962, verdict: 'stands' });
  expect(cable({ length_m: 300 }).wants).toBe('sine');
  expect(cable({ supply_V: 480, motor: { volts: 460, power_kW: 5.5 }, filter: 'choke' }).wants).toBe('sine');
  expect(cable({ length_m: 300, filter: 'sine' }).peak_V).toBe(566);
});

it('large frames want a bearing that carries no current', () => {
  expect(cable({ motor: { volts: 400, power_kW: 110 } }).bearing).toBe(true);
  expect(cable().bearing).toBe(false);
});
