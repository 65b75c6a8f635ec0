/** Fields that hold only a name or a remark of a person: with another one the thing is the same. */
export const NAME_FIELDS: readonly string[] = ['label', 'name', 'description', 'notes', 'owner'];
