package mardun.app.batch;

/** How many bags of a line are done now. */
record DoneBags(int line, int good, int seconds, int scrap) {

    int all() {
        return good + seconds + scrap;
    }

    /** Those that carry cost. */
    int carrying() {
        return good + seconds;
    }
}
