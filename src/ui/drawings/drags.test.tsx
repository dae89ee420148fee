/** @jest-environment jsdom */
import "./__tests__/pointers";
import { fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { BoxMm } from "@/core/shape";
import { useSheetDrag } from "./useSheetDrag";

const sheet: BoxMm = { widthMm: 400, heightMm: 300 };
const limit: BoxMm = { widthMm: 600, heightMm: 450 };
let pulled: BoxMm[] = [];
function Corner() {
  const { handlers, dragging } = useSheetDrag({ sheet, limit, onDrag: (to) => pulled.push(to) });
  return (
    <svg>
      <circle
        role="slider"
        aria-valuenow={400}
        aria-label="corner"
        tabIndex={0}
        data-held={dragging}
        {...handlers}
      />
    </svg>
  );
}

test("a sheet's corner is pulled in steps of 5 mm, no farther than the bench; a cancelled pull gives it back", async () => {
  pulled = [];
  render(<Corner />);
  const corner = screen.getByRole("slider");
  const at = (x: number, y: number) => ({
    pointerId: 1,
    buttons: 1,
    clientX: x,
    clientY: y,
    isPrimary: true,
  });
  fireEvent.pointerDown(corner, at(0, 0));
  expect(corner.getAttribute("data-held")).toBe("true");
  fireEvent.pointerMove(corner, at(33, -12));
  expect(pulled.at(-1)).toEqual({ widthMm: 435, heightMm: 290 });
  fireEvent.pointerMove(corner, at(900, 900));
  expect(pulled.at(-1)).toEqual(limit);
  fireEvent.pointerCancel(corner, { ...at(900, 900), buttons: 0 });
  expect(pulled.at(-1)).toEqual(sheet);
  expect(corner.getAttribute("data-held")).toBe("false");
  corner.focus();
  await userEvent.setup().keyboard("{ArrowLeft}{ArrowDown}");
  expect(pulled.slice(-2)).toEqual([
    { widthMm: 395, heightMm: 300 },
    { widthMm: 400, heightMm: 305 },
  ]);
});
