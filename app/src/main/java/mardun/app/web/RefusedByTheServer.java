package mardun.app.web;

import java.io.IOException;
import mardun.app.problem.RefusalWriter;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** What the web server itself refuses, such as an address with a broken escape, is told as problem details as well. */
@Component
class RefusedByTheServer implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(Report.class.getName());
            }
        });
    }

    /** Made by the server by its name. */
    public static final class Report extends ErrorReportValve {

        @Override
        protected void report(Request request, Response response, Throwable failure) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            try {
                RefusalWriter.write(response.getResponse(), status, "refused", RefusalWriter.sentence(status));
                response.finishResponse();
            } catch (IOException gone) {
                container.getLogger().debug("Who asked is gone", gone);
            }
        }
    }
}
