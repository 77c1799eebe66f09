#pragma once

#include <unistd.h>

namespace bslate::io {

/// An open file of the system, closed at the end of its scope. Private to io.
class Descriptor {
public:
    explicit Descriptor(int fd)
        : m_fd(fd) {}
    ~Descriptor() {
        if (m_fd >= 0)
            ::close(m_fd);
    }
    Descriptor(const Descriptor&) = delete;
    Descriptor& operator=(const Descriptor&) = delete;
    [[nodiscard]] int get() const { return m_fd; }
    [[nodiscard]] bool open() const { return m_fd >= 0; }

private:
    int m_fd;
};

} // namespace bslate::io
