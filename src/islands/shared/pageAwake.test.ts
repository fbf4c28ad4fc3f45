// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';

afterEach(() => {
  document.body.replaceChildren();
  vi.resetModules();
  vi.useRealTimers();
});
const pageAwake = async () => (await import('./pageAwake')).pageAwake();
const island = (): HTMLElement => {
  const it = document.createElement('astro-island');
  it.setAttribute('ssr', '');
  document.body.append(it);
  return it;
};

describe('answers that islands share', () => {
  it('wait for none where all are awake', async () => {
    await expect(pageAwake()).resolves.toBeUndefined();
  });
  it('wait until the last has taken over, and a little for its first rendering', async () => {
    vi.useFakeTimers();
    const [a, b] = [island(), island()];
    let told = false;
    void pageAwake().then(() => (told = true));
    a.removeAttribute('ssr');
    await vi.advanceTimersByTimeAsync(200);
    expect(told).toBe(false);
    b.removeAttribute('ssr');
    await vi.advanceTimersByTimeAsync(25);
    expect(told).toBe(false);
    await vi.advanceTimersByTimeAsync(30);
    expect(told).toBe(true);
  });
  it('wait no longer than four seconds for one that cannot wake', async () => {
    vi.useFakeTimers();
    island();
    let told = false;
    void pageAwake().then(() => (told = true));
    await vi.advanceTimersByTimeAsync(3500);
    expect(told).toBe(false);
    await vi.advanceTimersByTimeAsync(600);
    expect(told).toBe(true);
  });
});
