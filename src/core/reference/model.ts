/**
 * What the model is called from one change of it to the next. Whatever moves costs without anybody in the kitchen having moved them
 * (a formula, a constant) raises the version and says in a sentence what it did: kitchens are shown it with the costs it moved.
 */
export interface ModelVersion {
  readonly version: number;
  readonly says: string;
}

export const MODEL_VERSIONS: readonly ModelVersion[] = [
  { version: 1, says: 'The first model.' },
  {
    version: 2,
    says: 'Meat and shellfish shrink and give up their juice, salt goes both ways, gelatin fades, cooling loses water, body counts held fat and pulp, and hands grow with the batch.',
  },
];

export const MODEL = MODEL_VERSIONS[MODEL_VERSIONS.length - 1]!.version;
