/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { Picker, SOUGHT_FROM, type Pickable } from "./Picker";

// jsdom has no CSS object; the ids of React's groups need no more.
Object.assign(globalThis, { CSS: { escape: (text: string) => text.replaceAll(/[^\w-]/g, "\\$&") } });

const names = [
  ...["Quince half-moon", "Leek triangle", "Plum pop", "Courgette rose", "Pear in its coat"],
  ...["Date round", "Saffron cup", "Tahini tartlet", "Kıymalı börek"],
];
const toItems = (count: number): Pickable[] =>
  names
    .slice(0, count)
    .map((name, i) => ({ id: `p${i}`, name, figure: `${i + 10} g`, mark: null, isIll: i === 1 }));

function show(count: number) {
  const picked: string[] = [];
  function Held() {
    const [id, setId] = useState("p0");
    return (
      <Picker
        label="Piece"
        items={toItems(count)}
        selectedId={id}
        onPick={(next) => {
          picked.push(next);
          setId(next);
        }}
      />
    );
  }
  render(<Held />);
  return { user: userEvent.setup(), picked };
}
const radios = () =>
  within(screen.getByRole("radiogroup", { name: "Piece" })).getAllByRole<HTMLInputElement>("radio");
const checked = () => radios().filter((radio) => radio.checked);

test("each is told by name and figure, one is picked, and arrow keys go from one to the next and round", async () => {
  const { user, picked } = show(4);
  expect(radios()).toHaveLength(4);
  expect(screen.getByRole("radio", { name: /Plum pop.*12 g/ })).toBeTruthy();
  await user.click(screen.getByRole("radio", { name: /Courgette rose/ }));
  await user.keyboard("{ArrowRight}");
  await user.keyboard("{ArrowLeft}");
  expect(picked).toEqual(["p3", "p0", "p3"]);
  expect(checked()).toHaveLength(1);
});

test("what cannot be made says so before its name", () => {
  show(3);
  expect(screen.getByRole("radio", { name: /cannot be made: *Leek triangle/ })).toBeTruthy();
  expect(screen.getAllByLabelText("cannot be made:")).toHaveLength(1);
});

test(`up to ${SOUGHT_FROM - 1} are seen at a glance; from ${SOUGHT_FROM} on they are found by name, and Enter takes the best`, async () => {
  const { user, picked } = show(SOUGHT_FROM);
  const search = screen.getByRole<HTMLInputElement>("searchbox", { name: "Find: piece" });
  await user.type(search, "kiymali");
  expect(radios().map((radio) => radio.closest("label")!.textContent)).toEqual(["Kıymalı börek18 g"]);
  await user.type(search, "{Enter}");
  expect(picked).toEqual(["p8"]);
  expect(search.value).toBe("");
  expect(radios()).toHaveLength(SOUGHT_FROM);
  await user.type(search, "zzz{Enter}");
  expect(screen.getByText("None by that name.")).toBeTruthy();
  expect(picked).toHaveLength(1);
});

test("few have no search", () => {
  show(SOUGHT_FROM - 1);
  expect(screen.queryByRole("searchbox")).toBeNull();
});
