package mardun.app.cutter;

/**
 * A mat as it is given to a machine.
 *
 * @param key by which it is known; given twice it is cut once
 * @param title what is on it, for whoever stands before the machine
 * @param pieces how many shapes
 * @param length how long the blade's way is, in millimetres
 * @param svg the shapes where they lie on the mat, true to size
 */
public record MatJob(String key, String title, int pieces, double length, String svg) {}
