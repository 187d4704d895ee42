package mardun.core.working;

/** A computed value together with its working. */
public record Figure<T>(T value, Working working) {}
