import { run } from './run';

const { status, stdout, stderr } = run(process.argv.slice(2));
process.stderr.write(stderr);
process.stdout.write(stdout);
process.exitCode = status;
