package app.leeward.server.config;

import app.leeward.server.studio.Problem;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.Part;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.catalina.core.ApplicationPart;
import org.apache.tomcat.util.http.fileupload.FileItem;
import org.apache.tomcat.util.http.fileupload.FileUpload;
import org.apache.tomcat.util.http.fileupload.FileUploadException;
import org.apache.tomcat.util.http.fileupload.disk.DiskFileItemFactory;
import org.apache.tomcat.util.http.fileupload.servlet.ServletRequestContext;
import org.springframework.http.HttpStatus;

/** A request whose body has come as a whole. Everything behind takes it for one that has just begun. */
final class WholeRequest extends HttpServletRequestWrapper {
    private static final int MOST_PARTS = 1_000;
    private static final int SMALL = 65_536;

    private final Body body;
    private List<Part> parts;
    private Map<String, String[]> parameters;

    WholeRequest(HttpServletRequest request, Body body) {
        super(request);
        this.body = body;
    }

    @Override
    public DispatcherType getDispatcherType() {
        return DispatcherType.REQUEST;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
        InputStream in = body.open();
        return new ServletInputStream() {
            private boolean finished;

            @Override
            public int read() throws IOException {
                int b = in.read();
                finished |= b < 0;
                return b;
            }

            @Override
            public int read(byte[] bytes, int from, int count) throws IOException {
                int n = in.read(bytes, from, count);
                finished |= n < 0;
                return n;
            }

            @Override
            public void close() throws IOException {
                in.close();
            }

            @Override
            public boolean isFinished() {
                return finished;
            }

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setReadListener(ReadListener listener) {
                throw new IllegalStateException("all of it is here");
            }
        };
    }

    @Override
    public BufferedReader getReader() throws IOException {
        Charset charset =
                getCharacterEncoding() == null ? StandardCharsets.UTF_8 : Charset.forName(getCharacterEncoding());
        return new BufferedReader(new InputStreamReader(getInputStream(), charset));
    }

    @Override
    public Collection<Part> getParts() throws IOException, ServletException {
        if (parts == null) {
            // the file is as large as the body may be; what is small stays in memory
            FileUpload upload = new FileUpload();
            upload.setFileItemFactory(new DiskFileItemFactory(SMALL, new File(System.getProperty("java.io.tmpdir"))));
            upload.setFileCountMax(MOST_PARTS);
            List<Part> read = new ArrayList<>();
            try {
                for (FileItem item : upload.parseRequest(new ServletRequestContext(this))) {
                    read.add(new ApplicationPart(item, null));
                }
            } catch (FileUploadException e) {
                throw new ServletException("The form that was sent is broken", e);
            }
            parts = List.copyOf(read);
        }
        return parts;
    }

    @Override
    public Part getPart(String name) throws IOException, ServletException {
        return getParts().stream()
                .filter(p -> p.getName().equals(name))
                .findFirst()
                .orElse(null);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
        if (parameters == null) {
            Map<String, String[]> all = new LinkedHashMap<>(super.getParameterMap());
            if (String.valueOf(getContentType()).startsWith("multipart/")) {
                fields().forEach((name, values) -> all.merge(name, values, WholeRequest::joined));
            }
            parameters = Collections.unmodifiableMap(all);
        }
        return parameters;
    }

    private Map<String, String[]> fields() {
        Map<String, String[]> fields = new LinkedHashMap<>();
        try {
            for (Part part : getParts()) {
                if (part.getSubmittedFileName() == null) {
                    requireText(part);
                    try (InputStream in = part.getInputStream()) {
                        String value = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                        fields.merge(part.getName(), new String[] {value}, WholeRequest::joined);
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (ServletException e) {
            // told by whoever asks for the parts
            return Map.of();
        }
        return fields;
    }

    private static void requireText(Part part) {
        if (part.getSize() > PatientBodies.LARGEST_TEXT) {
            throw new Problem(
                    HttpStatus.PAYLOAD_TOO_LARGE,
                    "body-large",
                    part.getName(),
                    "'" + part.getName() + "' is larger than 1 MB, and no file.");
        }
    }

    /** Takes away what the parts of a form left on disk. */
    void deleteParts() {
        for (Part part : parts == null ? List.<Part>of() : parts) {
            try {
                part.delete();
            } catch (IOException e) {
                // it is taken away with the folder for passing files
            }
        }
    }

    private static String[] joined(String[] a, String[] b) {
        String[] all = Arrays.copyOf(a, a.length + b.length);
        System.arraycopy(b, 0, all, a.length, b.length);
        return all;
    }

    @Override
    public String getParameter(String name) {
        String[] values = getParameterMap().get(name);
        return values == null || values.length == 0 ? null : values[0];
    }

    @Override
    public String[] getParameterValues(String name) {
        return getParameterMap().get(name);
    }

    @Override
    public Enumeration<String> getParameterNames() {
        return Collections.enumeration(getParameterMap().keySet());
    }
}
