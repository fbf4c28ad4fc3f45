import type { Mechanism } from './mechanism';
import { DEFAULT_ERROR_RATE } from '../simulate/seats';

/** Whether two versions of one mechanism can be played at one table; settings that make no sense cannot. */
export function canShare(mechanism: Mechanism, x: object, y: object): boolean {
  const seat = (parameters: object) => ({
    parameters: { ...mechanism.defaults, ...parameters },
    policy: 'typical' as const,
    errorRate: DEFAULT_ERROR_RATE,
    headStart: 0,
  });
  try {
    return mechanism.checkTable?.([seat(x), seat(y)]) == null;
  } catch {
    // Numbers that got in past the door take only their own version out.
    return false;
  }
}
