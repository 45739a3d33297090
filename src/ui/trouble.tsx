/** Why something was not done, in its sentence, told at once to whoever listens; nothing where there is nothing to say. */
export function Trouble({
  says,
  id,
  as: As = 'p',
}: {
  readonly says: string | null | undefined;
  /** For the field that it describes. */
  readonly id?: string;
  readonly as?: 'p' | 'div' | 'span';
}) {
  return says ? (
    <As id={id} role="alert" className="trouble">
      {says}
    </As>
  ) : null;
}
