package driftwood.pack;

/** The forms of values without parts. */
enum Simple implements Form {
    TEXT {
        @Override
        public void write(Object value, Output out) {
            out.text((String) value);
        }

        @Override
        public Object read(Input in) {
            return in.text();
        }
    },
    NUMBER {
        @Override
        public void write(Object value, Output out) {
            out.number((Integer) value);
        }

        @Override
        public Object read(Input in) {
            return in.number();
        }
    },
    LINE {
        @Override
        public void write(Object value, Output out) {
            out.line((Integer) value);
        }

        @Override
        public Object read(Input in) {
            return in.line();
        }
    },
    FLAG {
        @Override
        public void write(Object value, Output out) {
            out.number((Boolean) value ? 1 : 0);
        }

        @Override
        public Object read(Input in) {
            return in.number() == 1;
        }
    },
    WHOLE {
        @Override
        public void write(Object value, Output out) {
            out.whole((Long) value);
        }

        @Override
        public Object read(Input in) {
            return in.whole();
        }
    },
    BYTES {
        @Override
        public void write(Object value, Output out) {
            out.bytes((byte[]) value);
        }

        @Override
        public Object read(Input in) {
            return in.bytes();
        }
    },
    NUMBERS {
        @Override
        public void write(Object value, Output out) {
            int[] numbers = (int[]) value;
            out.number(numbers.length);
            for (int each : numbers) {
                out.number(each);
            }
        }

        @Override
        public Object read(Input in) {
            int[] numbers = new int[in.count()];
            for (int i = 0; i < numbers.length; i++) {
                numbers[i] = in.number();
            }
            return numbers;
        }
    },
    FRACTION {
        @Override
        public void write(Object value, Output out) {
            out.whole(Double.doubleToRawLongBits((Double) value));
        }

        @Override
        public Object read(Input in) {
            return Double.longBitsToDouble(in.whole());
        }
    }
}
