package app.leeward.speech;

import app.leeward.core.speech.Phone;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.Semaphore;

/** Aligners to go round: one each for as many recordings as are read at once, made when they are first needed. */
final class Aligners {
    /** Each holds some hundred megabytes. */
    private static final int MOST = 3;

    private final Semaphore places = new Semaphore(MOST);
    private final Deque<Aligner> free = new ArrayDeque<>();

    void warmUp() {
        give(take());
    }

    Aligned align(Sound sound, List<List<List<Phone>>> line, Listening listening) {
        places.acquireUninterruptibly();
        Aligner aligner;
        try {
            aligner = take();
        } catch (RuntimeException e) {
            places.release();
            throw e;
        }
        boolean whole = false;
        try {
            Aligned aligned = aligner.align(sound, line, listening);
            whole = true;
            return aligned;
        } catch (SpeechProblem e) {
            whole = true;
            throw e;
        } finally {
            // one that was stopped in the middle of its work still holds some of it
            if (whole) {
                give(aligner);
            }
            places.release();
        }
    }

    private Aligner take() {
        synchronized (free) {
            if (!free.isEmpty()) {
                return free.pop();
            }
        }
        return new Aligner();
    }

    private void give(Aligner aligner) {
        synchronized (free) {
            free.push(aligner);
        }
    }
}
