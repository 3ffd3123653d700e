import { ensureBuild } from './lib/build.mjs';
import { packageProgram, runShown } from './lib/run.mjs';
import { clusterEnv, demoToCopy, ensureBrowser, testCluster } from './lib/testing.mjs';

/** Tests through the interface, all or of some files: `npm run test:browser -- FILE …`. Builds when the sources have changed. */
await ensureBrowser();
await ensureBuild();
const { cluster } = await testCluster();
await demoToCopy(cluster);
process.exit(await runShown(packageProgram('playwright'), ['test', ...process.argv.slice(2)], clusterEnv(cluster)));
