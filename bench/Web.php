<?php

declare(strict_types=1);

namespace Telamon\Bench;

/** A plain HTTP client on one kept connection, signed in when asked to. */
final class Web
{
    private \CurlHandle $curl;

    /** @param non-empty-string $address */
    public function __construct(private readonly string $address)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [\CURLOPT_RETURNTRANSFER => true, \CURLOPT_COOKIEFILE => '', \CURLOPT_TIMEOUT => 60]);
    }

    public function signIn(): void
    {
        $this->call('POST', '/api/session', ['email' => 'coordinator@marrowby.example', 'password' => 'telamon-demo']);
    }

    /**
     * @param non-empty-string $method
     * @param array<string, mixed>|null $json
     *
     * @return array<string, mixed>
     */
    public function call(string $method, string $path, ?array $json = null): array
    {
        curl_setopt($this->curl, \CURLOPT_URL, $this->address.$path);
        curl_setopt($this->curl, \CURLOPT_CUSTOMREQUEST, $method);
        curl_setopt($this->curl, \CURLOPT_HTTPHEADER, ["Origin: {$this->address}", 'Content-Type: application/json']);
        curl_setopt($this->curl, \CURLOPT_POSTFIELDS, null === $json ? '' : json_encode((object) $json, \JSON_THROW_ON_ERROR));
        $body = curl_exec($this->curl);
        $status = curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);
        if (!\is_string($body) || $status >= 400) {
            throw new \RuntimeException("$method $path answered $status: ".(\is_string($body) ? $body : curl_error($this->curl)));
        }
        $data = '' === $body ? [] : json_decode($body, true);
        $named = [];
        foreach (\is_array($data) ? $data : [] as $key => $value) {
            $named[(string) $key] = $value;
        }

        return $named;
    }
}
