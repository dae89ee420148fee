/**
 * What jsdom has not of pointers and drawings. Imported before what is dragged: whether there are pointers is asked as it is
 * loaded. A pixel is a unit of a drawing.
 */
if (!("onpointerdown" in window)) Object.assign(window, { onpointerdown: null });
Object.assign(Element.prototype, {
  setPointerCapture: () => undefined,
  hasPointerCapture: () => true,
  releasePointerCapture: () => undefined,
});
Object.assign(SVGElement.prototype, { getScreenCTM: () => ({ a: 1 }) });
if (!("CSS" in globalThis)) Object.assign(globalThis, { CSS: { escape: (text: string) => text } });

/** A pointer is a mouse with a name. */
class NamedMouse extends MouseEvent {
  readonly pointerId: number;
  constructor(type: string, { pointerId = 1, ...init }: PointerEventInit = {}) {
    super(type, init);
    this.pointerId = pointerId;
  }
}
if (!("PointerEvent" in window)) Object.assign(window, { PointerEvent: NamedMouse });
