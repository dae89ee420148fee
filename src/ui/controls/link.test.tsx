/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from "@testing-library/react";
import type { ComponentProps } from "react";
import { Link } from "./Link";

/** What the framework's own link was told to fetch ahead, by what it leads to. */
const told = new Map<unknown, unknown>();

jest.mock("next/link", () => ({
  __esModule: true,
  default: ({ prefetch, children, ...props }: ComponentProps<"a"> & { readonly prefetch: unknown }) => {
    told.set(props.href, prefetch);
    return <a {...props}>{children}</a>;
  },
}));

test.each([
  ["a pointer or a finger", (link: HTMLElement) => fireEvent.pointerEnter(link)],
  ["the keyboard", (link: HTMLElement) => act(() => link.focus())],
])("a page is fetched ahead once %s is on its link, and no other is", (_who, goTo) => {
  const own = jest.fn();
  render(
    <>
      <Link href="/roll" onPointerEnter={own} onFocus={own}>
        Roll
      </Link>
      <Link href="/fill">Fill</Link>
    </>,
  );
  expect(told.get("/roll")).toBe(false);
  goTo(screen.getByText("Roll"));
  expect(told.get("/roll")).toBeNull();
  expect(told.get("/fill")).toBe(false);
  expect(own).toHaveBeenCalledTimes(1);
});
