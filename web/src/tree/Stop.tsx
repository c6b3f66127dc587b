/** Past what the holding lets its own people do. */
export function Stop() {
  return (
    <span className="mt-0.5 block border-l-[3px] border-tape pl-2 text-[13px] font-semibold text-tape">
      Stop: past the holding’s limits. Leave it to a qualified person.
    </span>
  );
}
