package mardun.core.design;

/** What is counted: so many per unit. */
public record NotionNeed(String name, String slot, int perUnit) {}
