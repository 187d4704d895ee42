package mardun.app.note;

/** What a note is about; it comes back when that comes up again. */
public enum NoteAbout {
    STEP,
    PIECE,
    DESIGN,
    MATERIAL,
    MACHINE
}
