package app.leeward.server.api;

import app.leeward.server.studio.Admission;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayDeque;
import java.util.Deque;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;

/** Memory taken for a request is given back when it has been answered: the answer takes as much as the work. */
@Component
class AdmittedRequests implements HandlerInterceptor {
    private static final String HELD = AdmittedRequests.class.getName();

    private final Admission admission;

    AdmittedRequests(Admission admission) {
        this.admission = admission;
    }

    /** Counts a file sent by the request at hand, and takes memory to hold it, until that has been answered. */
    void takeFile(long bytes, HttpServletRequest request) {
        hold(admission.file(ReadingApi.client(request)));
        take(bytes);
    }

    /** Takes memory until the request at hand has been answered. */
    void take(long bytes) {
        hold(admission.take(bytes));
    }

    private static void hold(Admission.Held what) {
        RequestAttributes request = RequestContextHolder.currentRequestAttributes();
        @SuppressWarnings("unchecked") // nobody else writes there
        Deque<Admission.Held> held =
                (Deque<Admission.Held>) request.getAttribute(HELD, RequestAttributes.SCOPE_REQUEST);
        if (held == null) {
            held = new ArrayDeque<>();
            request.setAttribute(HELD, held, RequestAttributes.SCOPE_REQUEST);
        }
        held.push(what);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (request.getAttribute(HELD) instanceof Deque<?> held) {
            held.forEach(h -> ((Admission.Held) h).close());
            request.removeAttribute(HELD);
        }
    }
}
