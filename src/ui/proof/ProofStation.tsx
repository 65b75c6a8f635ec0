'use client';

import { Findings } from '../findings/Findings';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { ProofPicture } from './ProofPicture';
import { ProofTable } from './ProofTable';
import { Requirements } from './Requirements';
import { StandsOn } from './StandsOn';
import { PROVING } from '../words';

/** Every combination of everything that reaches the unit's orders: as a picture, as requirements, as a table. */
export function ProofStation() {
  const setup = useModel((s) => s.setup);
  const { proof, units, visiting, failed } = useVerdict();
  return (
    <div className="flex flex-col gap-4">
      {proof && <ProofPicture setup={setup} proof={proof} />}
      <Findings />
      {proof ? (
        <>
          <Requirements setup={setup} proof={proof} units={units} />
          {units && <StandsOn setup={setup} units={units} />}
          <ProofTable setup={setup} proof={proof} />
        </>
      ) : failed ? null : (
        <p className="card">
          {PROVING} {visiting ? `${visiting} so far` : ''}
        </p>
      )}
    </div>
  );
}
