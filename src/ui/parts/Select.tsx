/**
 * A plain list to choose one of. Where an entry needs a line of explanation or a drawing, a list of
 * cards serves better than this.
 */
export function Select({ className = '', ...rest }: React.ComponentProps<'select'>) {
  return <select className={`field font-normal ${className}`} {...rest} />;
}
