/** Gives jsdom, which knows the element alone, the browser's dialogs: a closing is told in a task of its own, later. */
export function nativeDialogs(): void {
  HTMLDialogElement.prototype.showModal = function showModal(this: HTMLDialogElement) {
    if (this.open) throw new DOMException("The dialog is open already.", "InvalidStateError");
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function close(this: HTMLDialogElement) {
    if (!this.open) return;
    this.open = false;
    setTimeout(() => this.dispatchEvent(new Event("close")), 0);
  };
}
