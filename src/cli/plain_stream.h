#pragma once

#include <ostream>
#include <streambuf>
#include <string>

/// What goes to a terminal: names of files and of other people's documents are text there, and
/// never orders.
namespace bslate::cli {

/// Hands on what it is given with everything but text written as JSON writes it, `\u001b`: control
/// characters other than the end of a line, marks that turn the direction of writing, ends of lines
/// and paragraphs of Unicode, and `\ufffd` for what is no UTF-8. In a JSON document that means the
/// same.
class PlainBuffer : public std::streambuf {
public:
    explicit PlainBuffer(std::ostream& to)
        : m_to(to) {}
    ~PlainBuffer() override { finish(); }

protected:
    int_type overflow(int_type c) override;
    std::streamsize xsputn(const char* bytes, std::streamsize count) override;
    int sync() override;

private:
    void take(unsigned char byte);
    void finish(); ///< what began and did not end is no UTF-8

    std::ostream& m_to;
    std::string m_begun; ///< a character of which bytes are missing
    std::size_t m_missing = 0;
};

/// A stream of one's own through it, with the state of the one it goes to.
class PlainStream : public std::ostream {
public:
    explicit PlainStream(std::ostream& to)
        : std::ostream(nullptr)
        , m_buffer(to) {
        rdbuf(&m_buffer);
    }

private:
    PlainBuffer m_buffer;
};

} // namespace bslate::cli
