declare const unit: unique symbol;

/** A number that carries its unit in the type, so that metres never meet milliseconds by accident. */
export type Quantity<Unit extends string> = number & { readonly [unit]: Unit };
