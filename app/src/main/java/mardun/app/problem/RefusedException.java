package mardun.app.problem;

import java.util.List;
import org.springframework.http.HttpStatus;

/** A request that isn't taken, with sentences for the maker. Nothing was stored. */
public final class RefusedException extends RuntimeException {

    private final transient List<FieldProblem> problems;
    private final HttpStatus status;

    private RefusedException(HttpStatus status, String sentence, List<FieldProblem> problems) {
        super(TypedText.shortened(sentence));
        this.status = status;
        this.problems = List.copyOf(problems);
    }

    /** Fields that can't be read or don't fit together. */
    public static RefusedException fields(List<FieldProblem> problems) {
        return new RefusedException(
                HttpStatus.UNPROCESSABLE_CONTENT, problems.get(0).sentence(), problems);
    }

    /** Something that can't be done as things stand. */
    public static RefusedException conflict(String sentence) {
        return new RefusedException(HttpStatus.UNPROCESSABLE_CONTENT, sentence, List.of());
    }

    /** Something that there isn't, or no longer. */
    public static RefusedException missing(String sentence) {
        return new RefusedException(HttpStatus.NOT_FOUND, sentence, List.of());
    }

    public HttpStatus status() {
        return status;
    }

    public List<FieldProblem> problems() {
        return problems;
    }
}
