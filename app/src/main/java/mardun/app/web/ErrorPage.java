package mardun.app.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import mardun.app.problem.RefusalWriter;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** Where requests end that a filter refused with nothing but a status. */
@Controller
@Hidden
class ErrorPage implements ErrorController {

    @RequestMapping("${server.error.path:/error}")
    void tell(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object given = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = given instanceof Integer code ? code : HttpServletResponse.SC_NOT_FOUND;
        RefusalWriter.write(response, status, "refused", RefusalWriter.sentence(status));
    }
}
