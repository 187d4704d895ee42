package mardun.app.problem;

/**
 * What is wrong with one field.
 *
 * @param field its name in the request
 * @param read what was read there
 * @param sentence why it can't be, and what would be right
 */
public record FieldProblem(String field, String read, String sentence) {}
