export { dueCalendar, type CalendarDue } from "./due-calendar";
export { visitCalendar, type CalendarVisit } from "./visit-calendar";
