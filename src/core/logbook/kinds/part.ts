/** A piece of the Setup that some evidence depends on. */
export interface Dependency {
  key: string;
  /** Completes "… changed": "how the unit sits in the model". */
  title: string;
  value: unknown;
}
