/** The help. @param formats the flags of `convert` */
export const usage = (
  formats: string,
): string => `humble-pendulum: plan how something travels, from a terminal

  humble-pendulum sample SHOT.json [--csv | --json]   the increments of every move
                  [--units field|mm]                  in other units than those of the sheet
                  [--camera]                          the pan table of the camera instead
  humble-pendulum sheet SHOT.json --csv               the exposure sheet, a line for each frame
  humble-pendulum chart SHOT.json --svg               the spacing chart of a span, as a picture
                  [--move ID] [--span N]              of which move, and which of its spans (1, 2 …)
  humble-pendulum convert SHOT.json --FORMAT          the shot in another format: ${formats}
                  [--pictures FOLDER]                 where its pictures are looked for, by their content
                  [--sounds FOLDER]                   and its sounds
                  [--every N --ticks]                 of a strobe picture: every n-th exposure, arcs and ticks over it
                  [--move ID]                         of a slider: which move
                  [--max-speed V --max-acceleration A] of a slider, mm/s and mm/s²; the exit code is 2 where it
                                                      would have to be faster
  humble-pendulum render SHOT.json --out FOLDER       each frame as a PNG, without a browser
                  [--width W] [--from A --until B]    pixels; some frames only
                  [--ground paper|black|transparent]  what it lies on
                  [--no-backdrop] [--shutter DEGREES] how long the shutter is open, 0 to 360: what moves is blurred
                  [--pictures FOLDER]
                  [--replace]                         pictures of another render that would be left there are removed
  humble-pendulum print SHOT.json --out FILE.pdf      a sheet at true scale
                  [--print track|ladder|sheet|table]  the track (the default), spacing charts, exposure sheet, increments
                  [--paper a4|letter]
                  [--across | --upright]              which way the pages lie; a track takes what needs fewer of them
                  [--pages N]                         more than 60 pages are only made when N says how many
  humble-pendulum pack SHOT.json … --out FILM.zip     shots, their pictures and sounds as one film
                  [--name FILM] [--pictures FOLDER] [--sounds FOLDER]
  humble-pendulum unpack FILM.zip --out FOLDER        the same, back into files
  humble-pendulum solve --distance D --most M         the frames of a span with no increment above M
                  [--frames N]                        or the distance, or the ramps, that N frames allow
                  [--leave A --arrive B]              how many frames it leaves and arrives over
                  [--curve X1,Y1,X2,Y2]               or a curve; or
                  [--slow-place AT,STRENGTH]          slowest at a place; without any of them it is even
                  [--held 1|2|3] [--json]             frames that each picture is held
  humble-pendulum check SHOT.json [--json]            what an animator may not have meant
  humble-pendulum check-file SHOT.json                whether the file is a sound shot
  humble-pendulum backup [--out FILE.zip]             everything that the server keeps, as one file; it may run meanwhile
                  [--data FOLDER]                     where that is (data/ of the checkout, or HUMBLE_DATA)
  humble-pendulum verify [BACKUP]                     whether a backup is whole, or without one the data themselves
                  [--data FOLDER]
  humble-pendulum restore BACKUP                      a backup read back, beside what is there
                  [--instead]                         or instead of it, which is set aside
                  [--last-copy]                       or the last of the daily copies, in the place of damaged data
                  [--data FOLDER]
  humble-pendulum --version                           which version this is

--take NAME reads another take of the shot than the current one.
SHOT.json may also be a table of increments (CSV): it is read as a shot of its own. A “-” is standard input; what is
written goes to standard output, or to the file that --out names.
Exit codes: 0, it was done; 1, a mistake, told in one sentence; 2, it was done, and check found something, a slider
would have to be faster, or a backup is damaged.
Columns are described in docs/file-format.md.`;
