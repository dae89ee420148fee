"use client";

import { useEffect } from "react";
import { Controller, useForm, type RegisterOptions } from "react-hook-form";
import { findCustomer, NEW_ORDER_REST } from "@/core/orders";
import { formatClock, parseClock, parseNumber } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { checkClock, checkCount } from "../controls/checks";
import { PiecePicker } from "../controls/PiecePicker";
import { MAX_NAME_CHARACTERS } from "@/schemas/limits";
import { pickRecords } from "@/schemas/recordTable";
import { CUSTOMER_NAMES } from "../orders/CustomerNames";
import { NEW_ORDER } from "../shell/bookPages";

/** What stands in the field until somebody says when. */
const FIRST_DUE = "09:00";

interface Fields {
  readonly pieceId: string;
  readonly count: string;
  readonly due: string;
  readonly customer: string;
}

/** Who a further line is for, and by when. */
export interface LineWish {
  readonly customer: string;
  readonly dueMin: number;
}

/**
 * Take one more order.
 * @param wish - Fills in who it is for; the same object fills in once.
 */
export function NewOrderForm({ wish }: { readonly wish: LineWish | null }) {
  const { book, records, edit } = usePicked("book", "records", "edit");
  const customers = pickRecords(records, "customer");
  const defaults = { pieceId: book.pieces[0]?.id ?? "", count: "", due: FIRST_DUE, customer: "" };
  const { control, register, handleSubmit, reset, setFocus, setValue, getValues, formState } =
    useForm<Fields>({
      defaultValues: defaults,
      mode: "onTouched",
    });
  const { errors } = formState;
  useEffect(() => {
    // Whoever asked for a new order elsewhere types at once.
    if (window.location.hash === NEW_ORDER) setFocus("count");
  }, [setFocus]);

  useEffect(() => {
    if (!wish) return;
    setValue("customer", wish.customer);
    setValue("due", formatClock(wish.dueMin));
    setFocus("count");
  }, [wish, setValue, setFocus]);
  /** Whoever usually comes at a time has it filled in, unless another was said. */
  const fillUsual = () => {
    const usual = findCustomer(customers, getValues("customer"))?.usualMin ?? null;
    if (usual !== null && !formState.dirtyFields.due) setValue("due", formatClock(usual));
  };

  const take = handleSubmit((fields) => {
    const [count, dueMin] = [parseNumber(fields.count), parseClock(fields.due)];
    if (!count.ok || !dueMin.ok) return;
    const id = createId("order");
    const customer = findCustomer(customers, fields.customer);
    const record = {
      ...NEW_ORDER_REST,
      id,
      dayId: book.day.id,
      pieceId: fields.pieceId,
      count: count.value,
      dueMin: dueMin.value,
      customer: customer?.name ?? fields.customer.trim(),
      customerId: customer?.id ?? null,
    };
    edit([{ kind: "order", id, record }]);
    reset({ ...fields, count: "", customer: "" });
    setFocus("count");
  });

  if (book.pieces.length === 0) {
    return (
      <div className="flex flex-col gap-2">
        <p>There is no piece in the book yet to order.</p>
        <Link href={`/day/${book.day.date}/book`} className="btn btn-primary touch">
          Add a piece
        </Link>
      </div>
    );
  }
  const field = (
    name: keyof Fields,
    label: string,
    options: RegisterOptions<Fields, typeof name>,
    props: { placeholder?: string; inputMode?: "numeric"; list?: string },
  ) => (
    <div className="flex flex-col gap-0.5">
      <label htmlFor={`order-${name}`}>{label}</label>
      <input
        id={`order-${name}`}
        className="input w-full"
        aria-invalid={errors[name] !== undefined}
        aria-describedby={errors[name] ? `order-${name}-fault` : undefined}
        autoComplete="off"
        {...props}
        {...register(name, options)}
      />
      {errors[name] && (
        <span id={`order-${name}-fault`} className="text-sm text-error" role="alert">
          {errors[name].message}
        </span>
      )}
    </div>
  );
  return (
    <form className="flex flex-col gap-2" onSubmit={(event) => void take(event)} noValidate>
      <h2 className="text-xl">Take an order</h2>
      <Controller
        name="pieceId"
        control={control}
        render={({ field: { value, onChange } }) => <PiecePicker selectedId={value} onPick={onChange} />}
      />
      <div className="grid grid-cols-2 items-start gap-2">
        {field(
          "count",
          "How many",
          { validate: (text) => checkCount(text) ?? true },
          { inputMode: "numeric", placeholder: "48" },
        )}
        {field("due", "By", { validate: (text) => checkClock(text) ?? true }, { placeholder: "09:00" })}
      </div>
      {field(
        "customer",
        "For (may stay empty)",
        {
          maxLength: { value: MAX_NAME_CHARACTERS, message: `Use up to ${MAX_NAME_CHARACTERS} characters.` },
          onBlur: fillUsual,
        },
        { list: CUSTOMER_NAMES },
      )}
      <button className="btn btn-primary touch mt-1 text-base">Take the order</button>
    </form>
  );
}
