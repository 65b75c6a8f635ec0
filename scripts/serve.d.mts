import type { ChildProcess, SpawnOptions } from 'node:child_process';

/** What Node is started with to serve the build. */
export function serveArgs(port: number): string[];
/** Starts the server as a child that ends with this process. */
export function serve(port: number, options?: SpawnOptions): ChildProcess;
