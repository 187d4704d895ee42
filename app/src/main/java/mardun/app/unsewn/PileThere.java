package mardun.app.unsewn;

/** How many pieces of a pile are there, and what they are worth. */
record PileThere(UnsewnPiece piece, long pieces, long minor) {}
