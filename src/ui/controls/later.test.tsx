/** @jest-environment jsdom */
import { render, screen } from "@testing-library/react";
import { useLayoutEffect } from "react";
import { Later } from "./Later";

const seen: string[] = [];

function Screen() {
  useLayoutEffect(() => {
    seen.push(document.body.textContent ?? "");
  });
  return (
    <>
      <p>above</p>
      <Later>
        <Below />
      </Later>
    </>
  );
}

function Below() {
  useLayoutEffect(() => {
    seen.push(document.body.textContent ?? "");
  });
  return <p>below</p>;
}

test("what is below the fold comes after what is seen first, and stays", () => {
  const { rerender } = render(<Screen />);
  expect(seen[0]).toBe("above");
  expect(seen).toContain("abovebelow");
  seen.length = 0;
  rerender(<Screen />);
  expect([...new Set(seen)]).toEqual(["abovebelow"]);
  expect(screen.getByText("below")).toBeTruthy();
});
