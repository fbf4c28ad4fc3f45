const metOf = new WeakMap<Float64Array, Int32Array>();

/** Indices of the skills an offer practises at all: few of many, so every sum runs over these only. */
export function practised(doses: Float64Array): Int32Array {
  let met = metOf.get(doses);
  if (!met) {
    const found: number[] = [];
    for (let k = 0; k < doses.length; k++) if (doses[k] !== 0) found.push(k);
    metOf.set(doses, (met = Int32Array.from(found)));
  }
  return met;
}

/** The same doses times a share above nought: of the same skills. */
export function timesShare(doses: Float64Array, share: number): Float64Array {
  const met = practised(doses);
  const scaled = new Float64Array(doses.length);
  for (const k of met) scaled[k] = doses[k]! * share;
  metOf.set(scaled, met);
  return scaled;
}
