#!/usr/bin/env node
// npm run backup: one backup now, read back before it is called good.
import { backUp, tidyBackups } from './setup/backups.mjs'
import { houseCluster } from './setup/database.mjs'

try {
  const house = houseCluster()
  const { startedHere } = await house.start()
  try {
    console.log(`Backed up and read back: ${backUp(house)}`)
    tidyBackups()
  } finally {
    if (startedHere) await house.stop()
  }
} catch (problem) {
  console.error(`No backup was made: ${problem.message}. The ones before are untouched.`)
  process.exitCode = 1
}
