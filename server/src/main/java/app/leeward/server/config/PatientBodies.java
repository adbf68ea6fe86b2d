package app.leeward.server.config;

import app.leeward.formats.art.LayeredArt;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpFilter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.boot.autoconfigure.security.SecurityProperties;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Waits for the whole of what is sent before a thread is given to it, so that whoever sends slowly, or stops, keeps nobody
 * else waiting. Small bodies are held in memory, large ones on disk; both only as far as they have really come.
 */
@Component
@Order(SecurityProperties.DEFAULT_FILTER_ORDER + 1)
class PatientBodies extends HttpFilter {
    private static final long serialVersionUID = 1;

    /** Largest body that is no file, bytes. */
    static final long LARGEST_TEXT = 1 << 20;
    /** Largest recording of many lines: an hour of stereo as studios keep it, 48 kHz and 24 bits. */
    static final long LARGEST_RECORDING = 1_100L << 20;
    /** What a form adds to the file in it. */
    private static final long AROUND_A_FILE = 2 << 20;
    /** Longest that sending may take. */
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private static final Duration PATIENCE_WITH_RECORDINGS = Duration.ofMinutes(10);
    /** Most bytes on disk together, of requests that have not been answered. */
    private static final long MOST_TOGETHER = 2L << 30;

    private final transient AtomicLong together = new AtomicLong();

    @Override
    protected void doFilter(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        boolean sends = request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
        if (request instanceof WholeRequest || !sends) {
            chain.doFilter(request, response);
            return;
        }
        boolean form = String.valueOf(request.getContentType()).startsWith("multipart/");
        boolean recording = String.valueOf(request.getContentType()).startsWith("application/octet-stream")
                && request.getRequestURI().endsWith("/recordings");
        long most = recording ? LARGEST_RECORDING : form ? LayeredArt.LARGEST_FILE + AROUND_A_FILE : LARGEST_TEXT;
        if (request.getContentLengthLong() > most) {
            tooLarge(response, most);
            return;
        }
        Body body = new Body();
        WholeRequest whole = new WholeRequest(request, body);
        AsyncContext async = request.startAsync(whole, response);
        async.setTimeout((recording ? PATIENCE_WITH_RECORDINGS : PATIENCE).toMillis());
        Reading reading = new Reading(request.getInputStream(), body, whole, async, response, most);
        async.addListener(reading);
        request.getInputStream().setReadListener(reading);
    }

    private static void tooLarge(HttpServletResponse response, long most) throws IOException {
        if (most == LARGEST_TEXT) {
            Refusals.write(response, 413, "body-large", "What was sent is larger than 1 MB.");
        } else {
            long megabytes = Math.min(most, most == LARGEST_RECORDING ? most : LayeredArt.LARGEST_FILE) >> 20;
            Refusals.write(response, 413, "file-large", "The file is larger than " + megabytes + " MB.");
        }
    }

    /** Reads what has come whenever some has come; ends the request itself when it will not be whole. */
    private final class Reading implements ReadListener, AsyncListener {
        private final ServletInputStream in;
        private final Body body;
        private final WholeRequest whole;
        private final AsyncContext async;
        private final HttpServletResponse response;
        private final long most;
        private final byte[] block = new byte[16_384];
        private boolean ended;

        Reading(
                ServletInputStream in,
                Body body,
                WholeRequest whole,
                AsyncContext async,
                HttpServletResponse response,
                long most) {
            this.in = in;
            this.body = body;
            this.whole = whole;
            this.async = async;
            this.response = response;
            this.most = most;
        }

        @Override
        public void onDataAvailable() throws IOException {
            while (!ended && in.isReady() && !in.isFinished()) {
                int n = in.read(block);
                if (n < 0) {
                    return;
                }
                body.add(block, n);
                long all = together.addAndGet(n);
                if (body.length() > most) {
                    tooLarge(response, most);
                    end();
                } else if (all > MOST_TOGETHER) {
                    Refusals.write(
                            response, 503, "uploads-many", "Too much is being sent at once; try again in a moment.");
                    end();
                }
            }
        }

        @Override
        public void onAllDataRead() throws IOException {
            if (!ended) {
                body.close();
                // from here on the answer may take as long as it needs
                async.setTimeout(0);
                async.dispatch();
            }
        }

        @Override
        public void onError(Throwable t) {
            late();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            late();
        }

        private void late() {
            if (!ended) {
                try {
                    response.setHeader("Connection", "close");
                    Refusals.write(response, 408, "body-slow", "What was announced did not come in time.");
                } catch (IOException e) {
                    // nobody is there to be told
                } finally {
                    end();
                }
            }
        }

        private void end() {
            ended = true;
            async.complete();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            together.addAndGet(-body.length());
            body.delete();
            whole.deleteParts();
        }

        @Override
        public void onError(AsyncEvent event) {
            // onComplete follows
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            event.getAsyncContext().addListener(this);
        }
    }
}
