/** Words of the choice of theme. */
export const themeWords = {
  daylightTheme: "Daylight theme",
  dimRoomTheme: "Dim room theme",
};
