import { Download } from "lucide-react";

/** Saves what has not come to the server as a file: nothing is lost, whatever the fault. */
export function SaveWaiting({ name, read }: { readonly name: string; readonly read: () => unknown }) {
  const save = () => {
    const url = URL.createObjectURL(
      new Blob([JSON.stringify(read(), null, 1)], { type: "application/json" }),
    );
    const link = document.createElement("a");
    link.href = url;
    link.download = `tezgah-unsaved-${name}.json`;
    link.click();
    URL.revokeObjectURL(url);
  };
  return (
    <button type="button" className="btn touch" onClick={save}>
      <Download size={18} aria-hidden /> Save as a file
    </button>
  );
}
