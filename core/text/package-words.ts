/** What each file of a job's package is, for whoever opens it in many years. */
export const packageReadme = (job: string, date: string): string =>
  `${job}
Package of ${date}

Every file here is in an open format and can be read without the program that made it.

README.txt            this text
job.octachord.json    the whole job as JSON text (UTF-8): brief, devices with every socket and setting, cables, rooms, notes, the record of
                      every visit. Lengths in metres, times in milliseconds, link rates in Gb/s. Everything else is made from this file.
record.pdf            the room as it was left, to read: plugs, menus, measured values, proof, open points
household.pdf         the sheet that the household has
map.svg               the wiring map
rooms/                a plan of each measured room (SVG)
tables/               lists for a spreadsheet (comma-separated values, UTF-8 with a byte order mark): devices, cables, settings, proof, record
edid/                 what each screen said of itself, byte for byte (EDID, VESA E-EDID 1.4 and CTA-861)
control.txt           what should run on the HDMI control wire (CEC) at each everyday act, frame by frame
photos/               photos by their ids; job.octachord.json names the device that each shows

To open it in Octachord: Docket, Import, and choose this package as it is. The job comes back whole.
`;
