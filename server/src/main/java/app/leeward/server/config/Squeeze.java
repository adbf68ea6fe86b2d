package app.leeward.server.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Squeezes large answers in text, fast rather than small. The web server's own compression knows one level only, at which the
 * outlines of a large file take four times as long to squeeze as to write.
 */
@Component
public class Squeeze extends OncePerRequestFilter {
    /** A single frame is sooner sent than squeezed. */
    private static final int LEAST = 12_288;

    private static final List<String> TEXTS =
            List.of("text/", "application/json", "application/problem+json", "application/javascript", "image/svg+xml");

    private static final String PLAIN = Squeeze.class.getName() + ".plain";

    /**
     * Leaves a long answer plain when it is sent to a browser on this machine, where squeezing it takes longer than it saves;
     * what is handed on by another server goes over a wire.
     */
    public static void onlyForTheWire(HttpServletRequest request) {
        if (local(request.getRemoteAddr())
                && request.getHeader("Forwarded") == null
                && request.getHeader("X-Forwarded-For") == null) {
            request.setAttribute(PLAIN, true);
        }
    }

    private static boolean local(String address) {
        return address.startsWith("127.") || address.equals("::1") || address.equals("0:0:0:0:0:0:0:1");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String accepts = request.getHeader(HttpHeaders.ACCEPT_ENCODING);
        if (accepts == null || !accepts.contains("gzip")) {
            chain.doFilter(request, response);
            return;
        }
        Answer answer = new Answer(request, response);
        chain.doFilter(request, answer);
        answer.finish();
    }

    /** Holds the beginning of an answer back until it is known whether it is worth squeezing. */
    private static final class Answer extends HttpServletResponseWrapper {
        private final Held out = new Held();
        private final HttpServletRequest request;
        private PrintWriter writer;
        private long length = -1;

        Answer(HttpServletRequest request, HttpServletResponse response) {
            super(response);
            this.request = request;
        }

        @Override
        public ServletOutputStream getOutputStream() {
            return out;
        }

        @Override
        public PrintWriter getWriter() {
            if (writer == null) {
                writer = new PrintWriter(new OutputStreamWriter(out, Charset.forName(getCharacterEncoding())));
            }
            return writer;
        }

        @Override
        public void setContentLength(int len) {
            length = len;
        }

        @Override
        public void setContentLengthLong(long len) {
            length = len;
        }

        @Override
        public void setHeader(String name, String value) {
            if (HttpHeaders.CONTENT_LENGTH.equalsIgnoreCase(name)) {
                length = Long.parseLong(value);
            } else {
                super.setHeader(name, value);
            }
        }

        @Override
        public void addHeader(String name, String value) {
            if (HttpHeaders.CONTENT_LENGTH.equalsIgnoreCase(name)) {
                length = Long.parseLong(value);
            } else {
                super.addHeader(name, value);
            }
        }

        @Override
        public void flushBuffer() throws IOException {
            if (writer != null) {
                writer.flush();
            }
            out.begin(false);
            super.flushBuffer();
        }

        @Override
        public void reset() {
            super.reset();
            out.forget();
        }

        @Override
        public void resetBuffer() {
            super.resetBuffer();
            out.forget();
        }

        private boolean squeezable() {
            String type = getContentType();
            return type != null
                    && request.getAttribute(PLAIN) == null
                    && getHeader(HttpHeaders.CONTENT_ENCODING) == null
                    && TEXTS.stream().anyMatch(type.toLowerCase(Locale.ROOT)::startsWith);
        }

        void finish() throws IOException {
            if (writer != null) {
                writer.flush();
            }
            out.begin(false);
            out.to.flush();
            if (out.to instanceof SharedGzip squeezed) {
                squeezed.finish();
            }
        }

        private final class Held extends ServletOutputStream {
            private final ByteArrayOutputStream beginning = new ByteArrayOutputStream();
            private OutputStream to;

            void forget() {
                if (to == null) {
                    beginning.reset();
                    length = -1;
                }
            }

            void begin(boolean long_) throws IOException {
                if (to != null) {
                    return;
                }
                if (long_ && squeezable()) {
                    Answer.super.setHeader(HttpHeaders.CONTENT_ENCODING, "gzip");
                    Answer.super.addHeader(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
                    to = new SharedGzip(getResponse().getOutputStream());
                } else {
                    if (length >= 0) {
                        getResponse().setContentLengthLong(length);
                    }
                    to = getResponse().getOutputStream();
                }
                beginning.writeTo(to);
            }

            @Override
            public void write(int b) throws IOException {
                write(new byte[] {(byte) b}, 0, 1);
            }

            @Override
            public void write(byte[] bytes, int from, int count) throws IOException {
                if (to == null && beginning.size() + count >= LEAST) {
                    begin(true);
                }
                if (to == null) {
                    beginning.write(bytes, from, count);
                } else {
                    to.write(bytes, from, count);
                }
            }

            @Override
            public void flush() throws IOException {
                // what is held back is sent at the end, when its length is known
                if (to != null) {
                    to.flush();
                }
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setWriteListener(WriteListener listener) {
                throw new IllegalStateException("answers are written in one go");
            }
        }
    }
}
