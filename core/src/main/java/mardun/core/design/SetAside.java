package mardun.core.design;

/** A finding that the maker looked at and set aside, and why. */
public record SetAside(Check check, String place, String reason) {}
