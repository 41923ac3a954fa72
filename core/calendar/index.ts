export { visitCalendar, type CalendarVisit } from "./visit-calendar";
