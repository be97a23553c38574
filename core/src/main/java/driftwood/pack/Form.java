package driftwood.pack;

/** How the values of one type are written and read. Stateless. */
interface Form {

    void write(Object value, Output out);

    /** The value that was written here; never null. */
    Object read(Input in);
}
