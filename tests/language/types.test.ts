import { join } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';
import { inLanguage, pretended } from '../../scripts/language';
import { spokenFiles } from '../../scripts/words';
import { share } from '../kit/share';

/** Type errors of the program with its sources replaced. */
function wrongIn(readAs: (file: string, source: string) => string): string[] {
  const root = process.cwd();
  const { config } = ts.readConfigFile(join(root, 'tsconfig.json'), (f) => ts.sys.readFile(f)) as {
    config: object;
  };
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, root);
  const spoken = new Set(spokenFiles(root).map((f) => join(root, f)));
  const host = ts.createCompilerHost({ ...options, noEmit: true, incremental: false });
  const plain = host.readFile.bind(host);
  host.readFile = (file) => {
    const source = plain(file);
    return source !== undefined && spoken.has(file) ? readAs(file, source) : source;
  };
  host.getSourceFile = (file, target) => {
    const source = host.readFile(file);
    return source === undefined ? undefined : ts.createSourceFile(file, source, target);
  };
  const program = ts.createProgram(
    [...spoken],
    { ...options, noEmit: true, incremental: false },
    host,
  );
  return ts
    .getPreEmitDiagnostics(program)
    .map(
      (d) =>
        `${d.file?.fileName.slice(root.length)}: ${ts.flattenDiagnosticMessageText(d.messageText, ' ')}`,
    );
}

/** As long as the types of the whole project: not in every run. */
const turn = share(['types'], 12).length > 0;

it.runIf(turn)('the translated program still type-checks: no code was translated', () => {
  expect(wrongIn((file, source) => inLanguage(file, source, pretended))).toEqual([]);
});
