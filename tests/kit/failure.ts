import { asFailure, type Failure } from '@/server/failure';

/** What a use case refused with. @throws Error when it refused nothing */
export function failureOf(work: () => unknown): Failure {
  try {
    work();
  } catch (error) {
    return asFailure(error) as Failure;
  }
  throw new Error('nothing failed');
}

/** The same of one that takes its time. */
export async function refusalOf(work: () => Promise<unknown>): Promise<Failure> {
  try {
    await work();
  } catch (error) {
    return asFailure(error) as Failure;
  }
  throw new Error('nothing failed');
}
