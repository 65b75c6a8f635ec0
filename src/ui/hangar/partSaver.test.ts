import { describe, expect, it } from 'vitest';
import type { Reply } from '../open/send';
import { partSaver, type SaveState } from './partSaver';

/** A server that answers on request, and what it was sent. */
function server() {
  const sent: { part: string; basedOn: number }[] = [];
  const answers: ((reply: Reply<{ revision: number }>) => void)[] = [];
  const states: SaveState[] = [];
  const { save } = partSaver<string>(
    (part, basedOn) => {
      sent.push({ part, basedOn });
      return new Promise((answer) => answers.push(answer));
    },
    1,
    (state) => states.push(state),
  );
  const answer = async (reply: Reply<{ revision: number }>) => {
    answers.shift()!(reply);
    await new Promise((resolve) => setTimeout(resolve));
  };
  return { sent, states, save, answer };
}

const ok = (revision: number) => ({ ok: true, value: { revision } }) as const;
const refused: Reply<never> = { ok: false, status: 503, problems: [{ path: '', reason: 'busy' }] };

describe('saving a part', () => {
  it('counts as saved only when nothing newer waits, and skips what is out of date', async () => {
    const { sent, states, save, answer } = server();
    void save('one');
    void save('two');
    void save('three');
    await answer(ok(2));
    expect(states.at(-1)).toEqual({ saving: true, problem: '' });
    await answer(ok(3));
    expect(sent).toEqual([
      { part: 'one', basedOn: 1 },
      { part: 'three', basedOn: 2 },
    ]);
    expect(states.at(-1)).toEqual({ saving: false, problem: '' });
  });
  it('what is refused stays, and is saved with the next change', async () => {
    const { sent, states, save, answer } = server();
    void save('one');
    await answer(refused);
    expect(states.at(-1)).toEqual({ saving: false, problem: 'busy' });
    void save('two');
    await answer(ok(2));
    expect(sent.at(-1)).toEqual({ part: 'two', basedOn: 1 });
    expect(states.at(-1)).toEqual({ saving: false, problem: '' });
  });
  it('a refusal of something older is no problem of the newer', async () => {
    const { sent, states, save, answer } = server();
    void save('one');
    void save('two');
    await answer(refused);
    await answer(ok(2));
    expect(sent.at(-1)).toEqual({ part: 'two', basedOn: 1 });
    expect(states.at(-1)).toEqual({ saving: false, problem: '' });
  });
});
