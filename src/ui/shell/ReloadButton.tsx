"use client";

/** A whole load: nothing that was remembered is shown. */
export const ReloadButton = () => (
  <button type="button" className="btn btn-primary touch" onClick={() => location.reload()}>
    Try again
  </button>
);
