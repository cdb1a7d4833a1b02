#!/usr/bin/env node
import { backupFolder, backupsIn, restore, takenAt } from './setup/backups.mjs'
import { houseCluster } from './setup/database.mjs'
// npm run restore [-- FILE]: brings a backup back, the newest by default. What was there is kept under another name.
import { prepareDatabase } from './setup/prepare.mjs'

try {
  const file = process.argv[2] ?? backupsIn()[0]
  if (!file) throw new Error(`there is none in ${backupFolder()}`)
  const house = houseCluster()
  const { startedHere } = await house.start()
  try {
    const before = restore(house, file)
    prepareDatabase(house.ownerUrl('pheasant'), { demo: false })
    console.log(
      `Restored from ${file} (${takenAt(file).toISOString()}). What was there before is kept as the database ${before}.`,
    )
  } finally {
    if (startedHere) await house.stop()
  }
} catch (problem) {
  console.error(`Nothing was restored: ${problem.message}. Give a backup file: npm run restore -- FILE`)
  process.exitCode = 1
}
