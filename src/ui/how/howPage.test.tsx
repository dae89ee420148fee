/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import { HowPage, type HealthShown } from "./HowPage";

const well: HealthShown = {
  isWell: true,
  file: { isWritable: true, version: 19, newestVersion: 19, bytes: 3_400_000, fault: null },
  copies: { count: 12, ageHours: 5 },
  ...{ areThreadsAlive: true, upSeconds: 3 * 86_400, memoryMb: 354 },
};
const show = (health: HealthShown, outward: Parameters<typeof HowPage>[0]["outward"] = null) =>
  render(
    <HowPage
      version="0.1.0 (abc)"
      health={health}
      outward={outward}
      screens={[{ screen: "bake", count: 20, medianMs: 840, slowMs: 1500 }]}
      openPages={3}
      devices={1}
    />,
  );

test("that it is well stands first, then file, copies, devices, and the slowest screens", () => {
  show(well);
  expect(screen.getByRole("status").textContent).toContain("Well");
  const facts = screen.getAllByRole("definition").map(({ textContent }) => textContent);
  expect(facts[0]).toBe("3.4 MBversion 19, the newest");
  expect(facts[1]).toBe("5 hours old12 copies here");
  expect(facts[2]).toBe("3 open pages1 key given out");
  expect(facts[3]).toBe("3 daysversion 0.1.0 (abc)");
  const row = within(screen.getByRole("table")).getAllByRole("row")[1]!;
  expect(row.textContent).toBe("bake20840 ms1500 ms");
});

test("all that is wrong is said, each with what to do", () => {
  const ill = { ...well, isWell: false };
  const { unmount } = show({ ...ill, areThreadsAlive: false });
  expect(screen.getByRole("alert").textContent).toContain("Start Tezgah again");
  unmount();
  const { unmount: again } = show({ ...ill, copies: { count: 1, ageHours: 200 } });
  expect(screen.getByRole("alert").textContent).toContain("save one on the page Copies");
  expect(screen.getAllByRole("definition")[1]!.textContent).toContain("8 days old");
  again();
  const outward = {
    folder: "/mnt",
    everyHours: 24,
    isSealed: false,
    newestAt: null,
    fault: "No folder /mnt.",
  };
  show({ ...ill, file: { ...well.file, isWritable: false, version: null, fault: "It is full." } }, outward);
  expect(screen.getByRole("alert").textContent).toBe(" It is full. No folder /mnt.");
});
