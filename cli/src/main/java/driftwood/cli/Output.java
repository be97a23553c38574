package driftwood.cli;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Optional;

/** Standard output, which remembers why it could not be written: a print stream swallows that. */
final class Output extends OutputStream {
    private final OutputStream stream;
    private IOException trouble;

    Output(OutputStream stream) {
        this.stream = stream;
    }

    @Override
    public void write(int one) throws IOException {
        write(new byte[] {(byte) one}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
        if (trouble == null) {
            try {
                stream.write(bytes, from, length);
            } catch (IOException e) {
                trouble = e;
                throw e;
            }
        }
    }

    @Override
    public void flush() throws IOException {
        if (trouble == null) {
            try {
                stream.flush();
            } catch (IOException e) {
                trouble = e;
                throw e;
            }
        }
    }

    /** Why not all was written; nothing where the reader simply had enough of it. */
    Optional<String> trouble() {
        return Optional.ofNullable(trouble).map(IOException::getMessage).filter(each -> !each.contains("Broken pipe"));
    }
}
