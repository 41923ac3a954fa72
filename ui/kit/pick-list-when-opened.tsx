"use client";

import dynamic from "next/dynamic";

/** The list to pick from, with its search, fetched when one is first opened. */
export const PickList = dynamic(() => import("./pick-list").then((module) => module.PickList), { ssr: false });
