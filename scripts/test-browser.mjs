import { ensureBuild } from './lib/build.mjs';
import { packageProgram, runShown } from './lib/run.mjs';
import { demoDatabase, ensureBrowser, testCluster, withServer } from './lib/testing.mjs';

/** Tests through the interface, all or of some files: `npm run test:browser -- FILE …`. Builds when the sources have changed. */
await ensureBrowser();
await ensureBuild();
const { cluster } = await testCluster();
let status = 1;
await withServer(await demoDatabase(cluster), async (env) => {
  status = await runShown(packageProgram('playwright'), ['test', ...process.argv.slice(2)], env);
});
process.exit(status);
