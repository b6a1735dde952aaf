# A machine that bin/start and bin/test run on, with what they would install at first.
#   podman build -t kind-grip . && podman run --rm -it -p 4100:4100 -v "$PWD:/work" kind-grip bin/start
FROM docker.io/library/node:20-bookworm
RUN apt-get update \
  && apt-get install -y --no-install-recommends mariadb-server chromium \
  && rm -rf /var/lib/apt/lists/*
WORKDIR /work
EXPOSE 4100
CMD ["bin/start"]
