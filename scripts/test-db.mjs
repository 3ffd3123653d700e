import { packageProgram, runShown } from './lib/run.mjs';
import { clusterEnv, testCluster } from './lib/testing.mjs';

/** Tests on a real database, all or those whose path holds a word: `npm run test:db -- WORD …`. */
const { cluster } = await testCluster();
const words = process.argv.slice(2);
const args = ['--selectProjects', 'integration', ...(words.length > 0 ? ['--testPathPatterns', ...words] : [])];
process.exit(await runShown(packageProgram('jest'), args, clusterEnv(cluster)));
