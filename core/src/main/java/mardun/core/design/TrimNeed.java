package mardun.core.design;

/** What is bought by length: so many per unit, each as long as the formula says. */
public record TrimNeed(String name, String slot, int perUnit, String length) {}
