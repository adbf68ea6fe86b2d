package app.leeward.server.config;

import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.apache.coyote.ActionCode;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** What the web server refuses before it is a request for any application, told like every other problem. */
@Component
class PlainErrors implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(Valve.class.getName());
            }
        });
    }

    /** Made by the web server, by its name. */
    public static final class Valve extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable failure) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            boolean ours = status >= 500;
            String message = ours
                    ? "Leeward made a mistake; nothing was changed. The server's log says more."
                    : "What was sent is no request that can be read.";
            try {
                byte[] body = Refusals.body(status, ours ? "fault" : "http-" + status, message);
                response.setContentType("application/problem+json");
                response.setContentLength(body.length);
                response.getOutputStream().write(body);
                response.finishResponse();
            } catch (IOException | IllegalStateException e) {
                // the connection is gone, or an answer has begun: all that is left is to end it
                response.getCoyoteResponse().action(ActionCode.CLOSE_NOW, e);
            }
        }
    }
}
