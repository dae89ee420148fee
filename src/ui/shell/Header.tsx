"use client";

import { BookOpen, Moon, Redo2, Search, Sun, Undo2 } from "lucide-react";
import { usePathname } from "next/navigation";
import type { ReactNode } from "react";
import { useBenchShell } from "../bench/BenchProvider";
import type { Step } from "../bench/history";
import { Link } from "../controls/Link";
import { describeStep } from "./describeStep";
import { formatDayDate } from "./formatDayDate";
import { NeighbourMark } from "../live/NeighbourMark";
import { findPage, pageTitles } from "./pageTitles";
import { SaveMark } from "./SaveMark";
import { turnTheme } from "./theme";

interface Props {
  readonly onFind: () => void;
  readonly onKeys: () => void;
  readonly onBook: () => void;
}

/** Name of the day, saved mark, undo, find, keys and the book. */
export function Header({ onFind, onKeys, onBook }: Props) {
  const day = useBenchShell((state) => state.book.day);
  const page = findPage(usePathname());
  const undo = useBenchShell((state) => state.undo);
  const redo = useBenchShell((state) => state.redo);
  const undoes = useBenchShell((state) => state.undoes);
  const redoes = useBenchShell((state) => state.redoes);
  const records = useBenchShell((state) => state.records);
  const say = (what: string, step: Step | null) => (step ? `${what}: ${describeStep(step, records)}` : what);
  return (
    <header className="flex h-12 items-center gap-1 border-b border-base-300 px-3 sm:gap-2 sm:px-6">
      <Link
        href={`/day/${day.date}/orders`}
        className="touch figure flex shrink-0 items-center text-2xl"
        aria-label="Tezgah, to the orders"
      >
        tezgah
      </Link>
      <h1 className="ml-2 min-w-0 truncate text-base font-normal">
        <span className="sr-only">{page ? `${pageTitles[page.key]}: ` : ""}</span>
        {day.name} <span className="quiet hidden md:inline">· {formatDayDate(day.date)}</span>
      </h1>
      <div className="ml-auto flex items-center gap-0.5">
        <NeighbourMark />
        <SaveMark />
        <IconButton label={say("Undo", undoes)} onPress={undo} disabled={!undoes}>
          <Undo2 size={20} aria-hidden />
        </IconButton>
        <span>
          <IconButton label={say("Redo", redoes)} onPress={redo} disabled={!redoes}>
            <Redo2 size={20} aria-hidden />
          </IconButton>
        </span>
        {/* In the hand there is no room for it: it is found by its name. */}
        <span className="hidden sm:inline">
          <ThemeButton />
        </span>
        <span className="lg:hidden">
          <IconButton label="Find" onPress={onFind}>
            <Search size={20} aria-hidden />
          </IconButton>
        </span>
        <button
          type="button"
          className="btn btn-ghost touch hidden px-2 font-normal lg:inline-flex"
          onClick={onFind}
        >
          <kbd className="key">/</kbd> find
        </button>
        <button
          type="button"
          className="btn btn-ghost touch hidden px-2 font-normal lg:inline-flex"
          onClick={onKeys}
        >
          <kbd className="key">?</kbd> keys
        </button>
        <button type="button" className="btn btn-ghost touch px-2 font-normal" onClick={onBook}>
          <span className="max-sm:sr-only">Book</span> <BookOpen size={20} aria-hidden />
        </button>
      </div>
    </header>
  );
}

interface IconButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly disabled?: boolean;
  readonly children: ReactNode;
}

function IconButton({ label, onPress, disabled = false, children }: IconButtonProps) {
  return (
    <button
      type="button"
      className="btn btn-ghost touch px-2"
      aria-label={label}
      title={label}
      onClick={onPress}
      disabled={disabled}
    >
      {children}
    </button>
  );
}

function ThemeButton() {
  return (
    <IconButton label="Day or night bench" onPress={turnTheme}>
      <Sun size={20} aria-hidden className="in-data-[theme=tezgah-night]:hidden" />
      <Moon size={20} aria-hidden className="hidden in-data-[theme=tezgah-night]:inline" />
    </IconButton>
  );
}
