/** @jest-environment node */
import { readdirSync } from "node:fs";
import { findSurface } from "./surfaces";

jest.mock("next/dynamic", () => () => () => null);

/** Made by the server each time, of many days at once. */
const SERVERS_OWN = ["shopping"];

test("every page of a day opens from the device too, but for what the server makes of many", () => {
  const FOLDER = "src/app/day/[date]";
  const pages = readdirSync(FOLDER, { recursive: true, encoding: "utf8" })
    .filter((file) => file.endsWith("/page.tsx"))
    .map((file) => file.replace(/\/page\.tsx$/, ""));
  expect(pages.length).toBeGreaterThan(20);
  const missing = pages.filter((page) => {
    const found = findSurface(`/day/2026-11-28/${page.replace("[id]", "bay%20crust")}`);
    return found?.date !== "2026-11-28" || found.id !== (page.includes("[id]") ? "bay crust" : "");
  });
  expect(missing).toEqual(SERVERS_OWN);
});

test("a day's own address is its orders; what is no page of a day is the server's", () => {
  expect(findSurface("/day/2026-11-28")?.surface.title).toBe("Orders");
  for (const path of [
    "/",
    "/days",
    "/day/2026-11-28/nothing",
    "/day/2026-11-28/toString",
    "/print/2026-11-28",
  ])
    expect(findSurface(path)).toBeNull();
});
