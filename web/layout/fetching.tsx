/** A view is on its way: a bar across the head of the screen. */
export const Fetching = () => <div role="progressbar" aria-label="Fetching the view" className="whole-loading" />;
