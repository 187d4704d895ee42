package mardun.app.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** Writes problem details where requests are refused before they reach any of the application's operations. */
public final class RefusalWriter {

    private RefusalWriter() {}

    /**
     * Writes them.
     *
     * @param type which kind of problem it is, without quotation marks
     * @param sentence why it is refused and what would be right, without quotation marks
     */
    public static void write(HttpServletResponse response, int status, String type, String sentence)
            throws IOException {
        response.setStatus(status);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write("{\"type\":\"/problems/" + type + "\",\"status\":" + status + ",\"detail\":\"" + sentence
                        + "\"}");
    }

    /** What can be said of a refusal of which only the status is known. */
    public static String sentence(int status) {
        return switch (status) {
            case 400 -> "The request holds something that can't be read. Begin at the places on the left.";
            case 403 -> "This can't be done from here.";
            case 404 -> "There is nothing at this address. Begin at the places on the left.";
            case 405 -> "This can't be done at this address.";
            default ->
                status < HttpStatus.INTERNAL_SERVER_ERROR.value()
                        ? "The request can't be taken as it is."
                        : "Something went wrong inside Mardun. The log says more.";
        };
    }
}
