package ration;

import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import net.jqwik.api.lifecycle.AroundPropertyHook;
import net.jqwik.api.lifecycle.PropagationMode;
import net.jqwik.api.lifecycle.PropertyExecutionResult;
import net.jqwik.api.lifecycle.PropertyExecutor;
import net.jqwik.api.lifecycle.PropertyLifecycleContext;

/**
 * Every property ends: after this long it fails with the stacks of all threads, and if it hears nothing the tests stop.
 */
public final class TimeLimit implements AroundPropertyHook {

    private static final long SECONDS = 180;
    private static final long GRACE = 30;
    private static final ScheduledExecutorService WATCH = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread thread = new Thread(r, "time limit");
        thread.setDaemon(true);
        return thread;
    });

    @Override
    public PropagationMode propagateTo() {
        return PropagationMode.ALL_DESCENDANTS;
    }

    @Override
    public PropertyExecutionResult aroundProperty(PropertyLifecycleContext context, PropertyExecutor property) {
        Thread running = Thread.currentThread();
        AtomicBoolean late = new AtomicBoolean();
        ScheduledFuture<?> limit = WATCH.schedule(
                () -> {
                    late.set(true);
                    System.err.println(context.label() + " did not end within " + SECONDS + " s:\n" + stacks());
                    running.interrupt();
                },
                SECONDS,
                TimeUnit.SECONDS);
        ScheduledFuture<?> end = WATCH.schedule(() -> Runtime.getRuntime().halt(70), SECONDS + GRACE, TimeUnit.SECONDS);
        PropertyExecutionResult result = property.execute();
        limit.cancel(false);
        end.cancel(false);
        return late.get()
                ? result.mapToFailed(new TimeoutException(context.label() + " took more than " + SECONDS + " s"))
                : result;
    }

    private static String stacks() {
        StringBuilder all = new StringBuilder();
        for (Map.Entry<Thread, StackTraceElement[]> e :
                Thread.getAllStackTraces().entrySet()) {
            all.append(e.getKey()).append('\n');
            for (StackTraceElement at : e.getValue()) {
                all.append("    at ").append(at).append('\n');
            }
        }
        return all.toString();
    }
}
