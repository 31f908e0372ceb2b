/** The browser's dialog, which the page of a test only knows by name. */
export function openDialogs(): void {
  HTMLDialogElement.prototype.showModal = function show() {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function close() {
    this.open = false;
  };
}
