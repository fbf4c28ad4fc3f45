import { expect, it } from 'vitest';
import { giveBack } from './giveBack';

it('lets go of what nobody holds, as often as it is asked', async () => {
  for (let i = 0; i < 2; i++) {
    const gone = new WeakRef({ large: new Array(1000).fill(i) });
    await new Promise((r) => setTimeout(r, 5));
    giveBack();
    expect(gone.deref()).toBeUndefined();
  }
});
