import { arrivalAt, summariseArrivals } from '@/domain/accuracy/arrival'
import { trueCook } from '@/stand-ins/truth/truth'
const from = Number(process.argv[2] ?? 1)
const cooks = Array.from({ length: 60 }, (_, i) => trueCook(from + i)).filter(({ pull_s }) => Number.isFinite(pull_s))
for (const at of [0.35, 0.5, 0.75]) { const t=performance.now(); const c = cooks.map((cook) => arrivalAt(cook, at, 256, Number(process.argv[3] ?? 5))); const f = summariseArrivals(c); console.log(at, (100*f.median).toFixed(1), 'bias', (100*f.bias).toFixed(1), 'inside', (100*f.inside).toFixed(0), 'ms', ((performance.now()-t)/60).toFixed(0))
 for (const n of ['drying cylinder','swinging slab']) { const g = summariseArrivals(c.filter((x)=>x.name===n)); console.log('  ', n, (100*g.median).toFixed(1), (100*g.bias).toFixed(1), (100*g.inside).toFixed(0)) } }
