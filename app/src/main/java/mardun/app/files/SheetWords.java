package mardun.app.files;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.problem.FieldReader;

/** The words of a sheet's cells: yes and no, and those of a choice. */
public final class SheetWords {

    private SheetWords() {}

    public static String yesNo(boolean yes) {
        return yes ? "yes" : "no";
    }

    /** Whether a cell says yes; an empty one says no. */
    public static boolean isYes(FieldReader fields, String column, String cell) {
        return switch (cell.strip().toLowerCase(Locale.ROOT)) {
            case "yes", "y", "true", "1", "x" -> true;
            case "", "no", "n", "false", "0" -> false;
            default -> {
                fields.refuse(column, cell, "“" + cell + "” is neither yes nor no. Write yes or no.");
                yield false;
            }
        };
    }

    /** A choice in words: {@code FILLING_BY_WEIGHT} becomes {@code filling by weight}. */
    public static String words(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The choice that a cell names; empty, with a problem, if it names none. */
    public static <E extends Enum<E>> Optional<E> choice(
            FieldReader fields, String column, String cell, Class<E> choices) {
        String wanted = cell.strip().toLowerCase(Locale.ROOT).replace('-', ' ');
        Optional<E> found = Arrays.stream(choices.getEnumConstants())
                .filter(choice -> words(choice).equals(wanted))
                .findFirst();
        if (found.isEmpty()) {
            fields.refuse(
                    column,
                    cell,
                    "“" + cell + "” can't stand under “" + column + "”. Write one of: "
                            + Arrays.stream(choices.getEnumConstants())
                                    .map(SheetWords::words)
                                    .collect(Collectors.joining(", "))
                            + ".");
        }
        return found;
    }

    /** A day of the last twenty years; today for an empty cell, and, with a problem, for one that names no such day. */
    public static LocalDate day(FieldReader fields, String column, String cell, LocalDate today) {
        if (cell.isBlank()) {
            return today;
        }
        try {
            LocalDate day = LocalDate.parse(cell.strip());
            if (day.isAfter(today) || day.isBefore(today.minusYears(20))) {
                fields.refuse(column, cell, "“" + cell + "” is no day of the last twenty years. Check the year.");
            }
            return day;
        } catch (DateTimeParseException unreadable) {
            fields.refuse(column, cell, "“" + cell + "” isn't a day. Write it like " + today + ".");
            return today;
        }
    }
}
