// Waits for its starter to end. Where that was killed, it ends what the starter left behind, so that nothing is orphaned.
import { createInterface } from 'node:readline'
import { setTimeout as sleep } from 'node:timers/promises'
import { houseCluster } from './database.mjs'
import { signal } from './supervise.mjs'

const children = new Map()
let database = false
let done = false
for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, () => {})

for await (const line of createInterface({ input: process.stdin })) {
  const [word, name, pid] = line.split(' ')
  if (word === 'child') children.set(name, Number(pid))
  else if (word === 'database') database = true
  else if (word === 'done') done = true
}
if (!done) {
  for (const pid of children.values()) signal(pid, 'SIGTERM')
  await sleep(3000)
  for (const pid of children.values()) signal(pid, 'SIGKILL')
  if (database) await houseCluster().stop()
}
