/** Two files run at once: each has the database of its worker, and finds nothing of the other's. */
for (const name of ['TEST_DATABASE_URL', 'TEST_DATABASE_OWNER_URL'])
  process.env[name] &&= process.env[name].replace(/(_\d+)?$/, `_${process.env.VITEST_POOL_ID}`)
