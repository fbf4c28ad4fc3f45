const metOf = new WeakMap<Float64Array, Int32Array>();

/** Indices of the skills an offer practises at all: few of many, so every sum runs over these only. */
export function practised(doses: Float64Array): Int32Array {
  let met = metOf.get(doses);
  if (!met) {
    met = Int32Array.from([...doses.keys()].filter((k) => doses[k]! !== 0));
    metOf.set(doses, met);
  }
  return met;
}
