/** Says, where it would stand, that something could not be read: nothing is hidden by being left out. */
export function NotRead({ what }: { what: string }) {
  return (
    <p className="border rounded p-2" role="status">
      {what} could not be loaded. Reload the page in a moment.
    </p>
  );
}
