export type { Act, Attitude, Claim, Found, Moment, Scope, Script, StateClaim, Told } from './claim';
export { leavesUse } from './claim';
export { decide } from './decide';
export { Facts, factsOf } from './facts';
export { Stage, type UnitState } from './stage';
export { easiestIn, placesIn, tableFor } from './states';
export { marginAfter, type Verdict } from './verdict';
