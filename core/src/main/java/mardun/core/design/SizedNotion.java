package mardun.core.design;

/** A notion of one size with how many one bag takes; of a two-part one, how many halves. */
public record SizedNotion(NotionNeed notion, long count) {}
